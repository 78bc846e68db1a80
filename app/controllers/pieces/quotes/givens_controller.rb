# Keeps a quote as it is given to the client.
class Pieces::Quotes::GivensController < ApplicationController
  takes_long :create

  def create
    piece = Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
    QuoteState.new(piece).give!
    render json: QuotePageSerializer.new(QuoteState.new(piece)).to_h
  end
end
