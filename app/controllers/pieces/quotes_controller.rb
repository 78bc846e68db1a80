# What a piece costs to finish, by the shop's terms.
class Pieces::QuotesController < ApplicationController
  takes_long :show
  takes :create, terms: :table

  def show
    respond_to do |format|
      format.html { page("Quote", QuotePageSerializer, state) }
      format.pdf do
        send_data Piece::QuoteSheet.new(piece, state).pdf, filename: "quote-#{piece.name.parameterize}.pdf",
                                                           disposition: "inline"
      end
    end
  end

  # Sets the terms of the shop, and reckons anew.
  def create
    Shop.current.terms!(body["terms"] || {})
    render json: QuotePageSerializer.new(state).to_h
  end

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
  def state = @state ||= QuoteState.new(piece)
end
