# Keeps a quote as it is given to the client.
class Pieces::Quotes::GivensController < ApplicationController
  include NamesPiece

  takes_long :create

  def create
    QuoteState.new(piece).give!
    render json: QuotePageSerializer.new(QuoteState.new(piece)).to_h
  end
end
