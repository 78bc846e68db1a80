# The better plan that a long search found, taken over as the one that is kept.
class Plans::AcceptancesController < ApplicationController
  keeps_sound :create
  takes :create, digest: :name

  def create
    search = Plan::LongSearch.found(body["digest"]) or
      raise Rhexon::InvalidInput.new("The shop has changed since that plan was found. A new search has begun",
                                     where: "digest")
    Plan::Kept.take!(search.starts)
    render json: ShopPlanState.new(query(:page)).to_h
  end
end
