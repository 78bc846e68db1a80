# What belongs to one board and answers with the board as its page shows it.
module OfBoard
  private

  def board = @board ||= Board.find(params[:board_id])
  def answer(more = {}) = render(json: BoardState.new(board.reload).to_h.merge(more))
end
