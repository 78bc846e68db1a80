# What a piece costs to finish, by the shop's terms.
class Pieces::QuotesController < ApplicationController
  include NamesPiece

  takes_long :show
  takes :create, terms: :table
  leaves_closed :create # the terms are the shop's

  def show
    respond_to do |format|
      format.html { page("Quote", QuotePageSerializer, state) }
      format.pdf do
        send_data sheet.pdf, filename: "quote-#{piece.name.parameterize}.pdf", disposition: "inline"
      end
    end
  end

  # Sets the terms of the shop, and reckons anew.
  def create
    Shop.current.terms!(body["terms"] || {})
    AuditLine.note!("terms")
    render json: QuotePageSerializer.new(state).to_h
  end

  private

  # Of today, or as it was given.
  def sheet
    given = query(:given) && piece.given_quotes.find(query(:given))
    return Piece::QuoteSheet.new(piece, given.figures, made_at: given.created_at, **paper) if given

    Piece::QuoteSheet.new(piece, state.figures, **paper)
  end

  def paper = { paper: query(:paper), url: url_for(only_path: false, format: nil) }
  def state = @state ||= QuoteState.new(piece)
end
