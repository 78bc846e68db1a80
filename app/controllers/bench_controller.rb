# What is to do now and next over all pieces.
class BenchController < ApplicationController
  def show
    render inertia: "Bench", props: BenchState.new.to_h
  end
end
