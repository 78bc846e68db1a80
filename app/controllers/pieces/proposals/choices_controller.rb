# Makes a proposed way the schedule of its piece.
class Pieces::Proposals::ChoicesController < ApplicationController
  keeps_sound :create, of: :piece
  takes :create, wish: :table, system: :name

  def create
    proposal = ProposalsState.new(piece, body["wish"] || {}).proposal(body["system"])
    Schedule::Chosen.new(piece.schedule, proposal).keep!
    render json: { location: piece_schedule_path(piece) }
  end

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
end
