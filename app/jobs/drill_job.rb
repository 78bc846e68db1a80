# Tries a restore beside the requests. What fails is told with its result.
class DrillJob < ApplicationJob
  queue_as :searches

  def perform = Shop::Backup::Drill.attempt!
end
