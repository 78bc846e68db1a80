# What each goal would make of the plan, at equal effort.
class Plans::GoalsController < ApplicationController
  takes_long :show

  def show
    render json: { goals: ShopPlanState.new.goals }
  end
end
