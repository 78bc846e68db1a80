# Ways of doing a piece, from what is wished.
class Pieces::ProposalsController < ApplicationController
  include ByLines
  include NamesPiece

  at_most 60, within: 1.minute, only: :create
  takes :create, wish: :table

  def show = page("Proposals", ProposalsPageSerializer, ProposalsState.new(piece).page)

  # As one answer, or line by line as it is reckoned.
  def create
    state = ProposalsState.new(piece, body["wish"] || {})
    return told_by_lines(state) if request.headers["Accept"].to_s.include?(ByLines::TYPE)

    SlowWork.turn { render json: state.to_h }
  end

  private

  def told_by_lines(state)
    state.check!
    by_lines { |line| SlowWork.turn { state.each_part(&line) } }
  end
end
