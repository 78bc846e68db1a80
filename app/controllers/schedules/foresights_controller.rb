# An edit that a hand is about to make, computed ahead: what it would be answered with at once, not kept.
class Schedules::ForesightsController < ApplicationController
  include OfPiece

  takes :create, operation: :table, face: :name, base: :whole

  # Of a revision that is past nothing is foreseen, nor of what only the edit itself can tell.
  def create
    sheet = state.foreseen(face, operation) if body["base"] == schedule.head.number
    render json: JSON.generate({ sheet: sheet })
  end
end
