# The colour desk: a recipe for a target, or for cancelling a cast.
class ColoursController < ApplicationController
  def show
    render inertia: "Colour", props: ColourDesk.start
  end

  def create
    render json: ColourDesk.new(body).answer
  end
end
