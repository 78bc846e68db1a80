# New steps at a place of the schedule: after the step that is named, or at the beginning.
class Schedules::NewStepsController < ApplicationController
  include OfPiece

  def index
    place = Rhexon::Proposals::Place.new(state.plan, piece.core_id, query(:after).presence,
                                         history: Shop::LoopsTaken.history)
    offers = Rhexon::Proposals::NewSteps.new(place).all
    render json: { offers: offers.map { |offer| StepOfferSerializer.new(offer).to_h } }
  end
end
