# Makes a proposed way the schedule of its piece.
class Pieces::Proposals::ChoicesController < ApplicationController
  include NamesPiece

  keeps_sound :create, of: :piece
  takes :create, wish: :table, system: :name

  def create
    proposal = ProposalsState.new(piece, body["wish"] || {}).proposal(body["system"])
    Schedule::Chosen.new(piece.schedule, proposal).keep!
    render json: { location: piece_schedule_path(piece) }
  end
end
