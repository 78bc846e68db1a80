# The look after each step on a face; null where its wood has no colour figures.
class Schedules::LooksController < ApplicationController
  include OfPiece

  def show
    render json: { looks: state.looks(face) }
  end
end
