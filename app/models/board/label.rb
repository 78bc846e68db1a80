# A label for the back of a board: which it is, of what wood, how many cells, when it was made, and the code that
# opens it.
class Board::Label < Label
  def initialize(board, url)
    super(url)
    @board = board
  end

  # @return [Array<String>] lines of text, the name first
  def lines
    [
      @board.name, [ @board.wood, @board.timber_lot ].compact_blank.join(", "),
      "#{@board.width_mm} x #{@board.height_mm} mm, #{@board.cells.size} cells",
      "made #{@board.made_on.strftime("%-d %b %Y")}", "master: keep out of the sun"
    ]
  end
end
