# Guns that the passes share: named anew, or taken away by their number.
class Shops::ToolsController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, id: :whole, name: :name, used_for: :name

  def create
    return keep!(taken_up || Tool.new(name: body["name"], used_for: body["used_for"] || "spray")) if body["id"].blank?

    Tool.find(body["id"]).take_away!
    answer
  end

  private

  # A retired tool of that name is taken up again.
  def taken_up
    Tool.find_by(name: body["name"].to_s)&.then { |tool| tool.tap { tool.retired_at = nil } if tool.retired? }
  end
end
