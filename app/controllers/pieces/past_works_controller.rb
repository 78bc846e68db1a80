# What was done on a piece before it was planned here.
class Pieces::PastWorksController < ApplicationController
  include NamesPiece

  keeps_sound :create, of: :piece
  takes :create, client_id: :id, person: :name, passes: :list

  def create
    Piece::PastWork.new(piece, body).record!
    render json: ScheduleState.new(piece.reload).to_h
  end
end
