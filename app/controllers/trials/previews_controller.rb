# The board as it will be, what it takes and when it can be judged: computed, not kept.
class Trials::PreviewsController < ApplicationController
  takes_long :create
  takes :create, **TrialDesign::TAKES

  def create
    render json: TrialDesign.new(body, today: Shop.current.clock.date(Time.current.to_i / 60)).preview
  end
end
