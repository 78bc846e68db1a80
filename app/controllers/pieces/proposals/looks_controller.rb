# Looks to choose a wanted one from: reckoned on the wood of the piece, seen on boards, or of another wood.
class Pieces::Proposals::LooksController < ApplicationController
  def show = render(json: WantedLooksSerializer.new(ProposalsState.new(piece)).to_h)

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
end
