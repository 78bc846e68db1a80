# What belongs to one board and answers with the board as its page shows it.
module OfBoard
  extend ActiveSupport::Concern

  included { before_action :board }

  private

  def board = @board ||= Access.named(Board, params[:board_id])
  def answer(more = {}) = render(json: BoardState.new(board.reload).to_h.merge(more))
end
