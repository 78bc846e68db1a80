# Makes a cell the schedule of a piece.
class Cells::PromotionsController < ApplicationController
  include PromotesCell

  keeps_sound :create, of: :piece
  takes :create, **PromotesCell::TAKES

  def create
    piece.schedule.promote!(promoted, cell)
    render json: { location: piece_schedule_path(piece) }
  end
end
