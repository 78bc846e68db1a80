# Runs the long search that was begun last, beside the requests. What fails is kept with the search and in the log.
class LongSearchJob < ApplicationJob
  queue_as :searches

  # @param digest [String] of the shop it was begun for; one that was replaced meanwhile is not run
  def perform(digest) = Plan::LongSearch.at(digest)&.run
end
