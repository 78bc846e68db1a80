# Sees behind a touch whether its piece can still be drawn; what cannot be drawn is taken back.
class DrawnJob < ApplicationJob
  queue_as :default

  # Behind all that somebody waits for; where its piece was touched again, that touch asks by itself.
  def perform(entry)
    return if entry.piece.nil? || entry.piece.entries.where(id: (entry.id + 1)..).exists?

    SlowWork.turn { Plan::Settling.new(entry).see_it_drawn! }
  end
end
