# Looks to choose a wanted one from: reckoned on the wood of the piece, seen on boards, or of another wood.
class Pieces::Proposals::LooksController < ApplicationController
  include NamesPiece

  def show = render(json: WantedLooksSerializer.new(ProposalsState.new(piece)).to_h)
end
