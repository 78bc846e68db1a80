# What is to do now and next over all pieces.
class BenchController < ApplicationController
  include WhoseBench

  def show
    state = BenchState.new(hands: hands, chosen: query(:pass)).to_h
    request.format.json? ? render(json: state) : render(inertia: "Bench", props: state)
  end
end
