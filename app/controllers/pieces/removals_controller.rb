# A piece is deleted, or archived once it is in the log; and restored.
class Pieces::RemovalsController < ApplicationController
  include NamesPiece

  keeps_sound :create, :destroy, of: :nothing
  leaves_closed :destroy

  def create
    Piece::Removal.new([ piece ]).remove!
    render json: RemovedPieceSerializer.new(piece).to_h
  end

  def destroy
    Piece::Removal.new([ piece ]).restore!
    head :no_content
  end

  private

  def nothing = []
end
