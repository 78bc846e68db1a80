# What stands against each piece, counted by level: the list of a large shop shows its pieces first.
class Pieces::LevelsController < ApplicationController
  takes_long :index

  def index
    floor = ShopFloor.new
    levels = floor.draw { |plan| floor.pieces.to_h { |piece| [ piece.id, Piece::Levels.of(plan, piece) ] } }
    render json: JSON.generate({ levels: levels })
  end
end
