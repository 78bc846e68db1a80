# Readings of many cells typed in one go: every one is checked first, so that all are kept or none.
class Board::QuickReadings
  MOST = 400

  # @param body [Hash] client_id, observer, light, readings: [{"cell" (id), "kind", "value"}]
  def initialize(board, body)
    @board = board
    @body = body
  end

  # @return [Integer] how many were kept
  # @raise [Rhexon::InvalidInput] names the first cell and measure that is wrong
  def record!(now:)
    given = @body["readings"]
    Rhexon.refuse_unless(given.is_a?(Array) && given.size.between?(1, MOST) && given.all?(Hash),
                         "There is nothing to keep yet", where: "readings", accepted: "1 to #{MOST} readings")
    cells = @board.cells.index_by(&:id)
    checked = given.map do |reading|
      [
        cells[reading["cell"]] || raise(Rhexon::InvalidInput.new("That is no cell of this board", where: "readings")),
        reading["kind"], value(cells[reading["cell"]], reading)
      ]
    end
    Reading.transaction do
      checked.each do |cell, kind, value|
        Reading.record!(cell: cell, client_id: "#{@body["client_id"]}-#{cell.id}-#{kind}", kind: kind, value: value,
                        observer: @body["observer"].presence, light: @body["light"].presence, taken_at: now)
      end
    end
    checked.size
  end

  private

  def value(cell, reading)
    Rhexon::Boards::Readings.check(reading["kind"], reading["value"])
  rescue Rhexon::InvalidInput => refusal
    raise Rhexon::InvalidInput.new("Cell #{cell.label}: #{refusal.message.sub(/^./, &:downcase)}",
                                   where: "#{cell.id}/#{reading["kind"]}", accepted: refusal.accepted)
  end
end
