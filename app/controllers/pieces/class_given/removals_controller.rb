# A whole class is taken off a piece, and given it back.
class Pieces::ClassGiven::RemovalsController < ApplicationController
  include NamesPiece

  keeps_sound :create, :destroy, of: :nothing

  def create
    Piece::ClassGiven.new(piece).remove!
    render json: ClassState.new(piece).to_h
  end

  def destroy
    Piece::ClassGiven.new(piece).restore!
    render json: ClassState.new(piece).to_h
  end

  private

  def nothing = []
end
