# What plans aim at.
class Shops::GoalsController < ApplicationController
  keeps_sound :create, anew: true
  takes :create, goal: :name

  def create
    names = Rhexon::Search::Goal::NAMES
    Rhexon.refuse_unless(
      names.include?(body["goal"]), "A plan cannot aim at #{body["goal"].inspect}", where: "goal",
      accepted: names.join(", ")
    )
    Shop.current.update!(goal: body["goal"])
    render json: { goal: body["goal"] }
  end
end
