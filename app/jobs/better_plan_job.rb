# Looks for a better plan once nothing was written for a while.
class BetterPlanJob < ApplicationJob
  queue_as :searches

  class << self
    def soon
      after = Rails.configuration.x.better_plan_after
      set(wait: after).perform_later(written) if after
    end

    # @param minute [Integer]
    def at(minute) = set(wait_until: Time.zone.at(minute * 60)).perform_later(written)

    # @return [Array<Integer, nil>] another one with each write that plans depend on
    def written = [ *Stamp.read.all, *Stamp.current.of(Stamp::PLANNED), Revision.maximum(:id) ]
  end

  # @param written [Array<Integer, nil>] as it was when it was asked for; what was written since asks by itself
  def perform(written)
    return unless written == self.class.written

    floor = ShopFloor.new
    Plan::LongSearch.for(floor) if floor.plan.model.open_size > 1
  end
end
