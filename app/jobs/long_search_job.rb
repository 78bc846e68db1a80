# Runs the long search that was begun last, beside the requests. What fails is kept with the search and in the log.
class LongSearchJob < ApplicationJob
  queue_as :searches
  # After the last hands have gone.
  SHUT_MIN = 15

  # @param digest [String] of the shop it was begun for; one that was replaced meanwhile is not run
  def perform(digest)
    Plan::LongSearch.at(digest)&.run
    at_night if Shop.current.better_plan == "night"
  end

  private

  # While nobody is there what is better is taken without asking; until then it is offered.
  def at_night
    floor = ShopFloor.new
    now = floor.plan.shop.now
    _, shuts = floor.plan.shop.open_between(now, now + 1).first
    return BetterPlanJob.at(shuts + SHUT_MIN) if shuts

    search = Plan::LongSearch.offer(floor) or return
    SoundChange.keep! { Plan::Kept.take!(search.starts) }
  end
end
