# The plan of the whole shop: all pieces over one clock, what it could aim at, the chance of being ready, and the plan
# that was accepted.
class PlansController < ApplicationController
  keeps_sound :accept
  takes_long :goals, :chance
  takes :accept, digest: :name

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

  # Begins a long search for a better plan, or says how it stands.
  def search
    render json: { search: LongSearchSerializer.new(LongSearch.for(ShopFloor.new)).to_h }
  end

  def stop_search
    LongSearch.stop
    head :no_content
  end

  # Later plans stay near this one; or near what a long search found.
  def accept
    search = body["digest"] && LongSearch.found(body["digest"])
    if body["digest"] && search.nil?
      raise Rhexon::InvalidInput.new("The shop has changed since that plan was found. A new search has begun",
                                     where: "digest")
    end

    search ? Plan.accept_starts!(search.digest, search.starts) : Plan.accept!(ShopFloor.new.plan)
    render json: ShopPlanState.new.to_h
  end
end
