# The plan of the whole shop: all pieces over one clock.
class PlansController < ApplicationController
  def show
    props = ShopPlanState.new(query(:page)).to_h
    return render json: props if request.format.json?

    render inertia: "Plan", props: props
  end
end
