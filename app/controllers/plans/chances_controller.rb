# Dates drawn from what is known of the drying, the weather and the hands.
class Plans::ChancesController < ApplicationController
  takes_long :show

  def show
    render json: { chances: ShopPlanState.new.chances }
  end
end
