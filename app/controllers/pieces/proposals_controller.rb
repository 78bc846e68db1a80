# Ways of doing a piece, from what is wished.
class Pieces::ProposalsController < ApplicationController
  takes_long :create
  takes :create, wish: :table

  def show = page("Proposals", ProposalsPageSerializer, ProposalsState.new(piece).page)

  def create = render(json: ProposalsState.new(piece, body["wish"] || {}).to_h)

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
end
