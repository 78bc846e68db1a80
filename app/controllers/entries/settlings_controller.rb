# What a touch that was taken in came to: the plan with it, and the bench.
class Entries::SettlingsController < ApplicationController
  include WhoseBench

  def create
    entry = Access.named(Entry, params[:entry_id])
    PlanLane.turn do
      floor = Plan::Settling.new(entry).settle!
      render json: BenchState.new(floor: floor, hands: hands).to_h
    end
  end
end
