# A piece is deleted, or archived once it is in the log; and restored.
class Pieces::RemovalsController < ApplicationController
  keeps_sound :create, :destroy, of: :nothing

  def create
    piece.in_hand!
    Piece::Removal.new([ piece ]).remove!
    render json: RemovedPieceSerializer.new(piece).to_h
  end

  def destroy
    Piece::Removal.new([ piece ]).restore!
    head :no_content
  end

  private

  def piece = @piece ||= Piece.includes(:job).find(params[:piece_id])
  def nothing = []
end
