# What stands against each piece, counted by level: the list of a large shop shows its pieces first.
class Pieces::LevelsController < ApplicationController
  takes_long :index

  def index
    floor = ShopFloor.new
    theirs = Access.of(Piece).ids.to_set
    shown = floor.pieces.select { |piece| theirs.include?(piece.id) }
    levels = floor.draw { |plan| shown.to_h { |piece| [ piece.id, Piece::Levels.of(plan, piece) ] } }
    render json: JSON.generate({ levels: levels })
  end
end
