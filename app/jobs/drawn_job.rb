# Sees behind a touch whether its piece can still be drawn; what cannot be drawn is taken back.
class DrawnJob < ApplicationJob
  queue_as :default

  def perform(entry) = Plan::Settling.new(entry).see_it_drawn!
end
