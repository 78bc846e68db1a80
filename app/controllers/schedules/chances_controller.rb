# When a piece will likely be ready, drawn from what is known; null once it is.
class Schedules::ChancesController < ApplicationController
  include OfPiece

  takes_long :show

  def show
    chance = ShopPlanState.new.chance_of(piece)
    render json: { chance: chance && ChanceSerializer.new(chance).to_h }
  end
end
