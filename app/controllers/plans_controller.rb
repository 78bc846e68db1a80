# The plan of the whole shop: all pieces over one clock, what it could aim at, the chance of being ready, and the plan that was accepted.
class PlansController < ApplicationController
  def show
    props = ShopPlanState.new.to_h
    return render json: props if request.format.json?

    render inertia: "Plan", props: props
  end

  # What each goal would make of the plan, at equal effort.
  def goals
    render json: { goals: ShopPlanState.new.goals }
  end

  # Dates drawn from what is known of the drying, the weather and the hands.
  def chance
    render json: { chances: ShopPlanState.new.chances }
  end

  # Later plans stay near this one.
  def accept
    Plan.accept!(ShopFloor.new.plan)
    render json: ShopPlanState.new.to_h
  end
end
