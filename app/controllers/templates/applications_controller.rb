# Makes a recipe the schedule of a piece.
class Templates::ApplicationsController < ApplicationController
  include AppliesTemplate

  keeps_sound :create, of: :piece
  takes :create, **AppliesTemplate::TAKES

  def create
    applied.keep!
    render json: { location: piece_schedule_path(piece) }
  end
end
