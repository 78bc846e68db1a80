# How fast hands are here, where somebody says it.
class Records::PacesController < ApplicationController
  keeps_sound :create
  takes :create, work: :name, factor: :any

  def create
    Shop.current.pace!(body["work"].to_s, body["factor"])
    render json: OwnFiguresState.new.to_h
  end
end
