# The plan that later plans stay near: the one that is shown, or what a long search found.
class Plans::AcceptancesController < ApplicationController
  keeps_sound :create
  takes :create, digest: :name

  def create
    search = body["digest"] && Plan::LongSearch.found(body["digest"])
    if body["digest"] && search.nil?
      raise Rhexon::InvalidInput.new("The shop has changed since that plan was found. A new search has begun",
                                     where: "digest")
    end

    search ? Plan.accept_starts!(search.digest, search.starts) : Plan.accept!(ShopFloor.new.plan)
    render json: ShopPlanState.new(query(:page)).to_h
  end
end
