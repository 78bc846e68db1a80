# What a warmer room, another product or a coat less would make of the date.
class Schedules::WhatIfsController < ApplicationController
  include OfPiece

  takes_long :index

  def index
    answers = Rhexon::Compare::WhatIf.for(state.plan, piece.core_id)
    render json: { what_ifs: answers.map { |answer| WhatIfSerializer.new(answer).to_h } }
  end
end
