require "test_helper"

# One build of a plan, taken apart: what is free, and the objects that place passes in it. Numbers are hand-worked for
# one square metre sprayed: 10 min of setting up, 3 of laying, 15 of cleaning up; recoat from 90 to 720 min after.
class BuildTest < CoreTest
  Search = Rhexon::Search
  OPENS = "2026-11-23T07:30+01:00".freeze

  def model_of(*steps, **fields)
    shop = Rhexon::Planning::Shop.new(shop_json(piece(document(*steps), **fields.delete(:piece) || {}), **fields))
    Search::Planner.new(shop).model
  end

  # @return [Search::PartialSchedule] with nothing placed
  def build(model, holds = Search::Holds::NONE, **options)
    Search::PartialSchedule.new(model, holds, **options).tap do |partial|
      @slots = Search::SlotFinder.new(partial)
      @booking = Search::ResourceBooking.new(partial)
      @scuffs = Search::ScuffPlacement.new(partial, @slots)
    end
  end

  def minute(time, day = 23) = at("2026-11-#{day}T#{time}+01:00")
  def settle(index) = @booking.settle(index, @slots.slot(index))
end
