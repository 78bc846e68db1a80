# What the shop's own boards teach, reckoned again when something was read on one of them.
module Board::Lessons
  @lock = Mutex.new

  module_function

  # @return [Rhexon::Colour::Calibration::Lessons]
  def current = Current.lessons ||= reckoned

  def reckoned
    sheets = Shelf.as_on_sheets
    stamp = [ sheets.object_id, *Stamp.current.of("readings", "cells", "boards") ]
    @lock.synchronize do
      next @lessons if @stamp == stamp

      from = [ sheets.object_id, boards ]
      @lessons = learnt(sheets, from.last) unless @from == from
      @from = from
      @stamp = stamp
      @lessons
    end
  end

  # @param boards [Array<Hash>] a board that was laid out and not read yet is not among them
  def learnt(sheets, boards)
    Rhexon::Colour::Calibration.for(
      boards, sheets.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
    )
  end

  private_class_method :reckoned, :learnt

  # Boards with the cells whose colour was read and that are sound.
  def boards
    Board.includes(cells: :readings).order(:id).filter_map do |board|
      cells = board.cells.reject(&:ruined).filter_map do |cell|
        (lab = cell.summary(nil).lab) && { "layers" => cell.layers, "lab" => lab }
      end
      { "wood" => board.wood, "cells" => cells } if cells.any?
    end
  end

  # In words, for the pages that show colours.
  # @return [Array<Hash>]
  def told
    lessons = current
    names = Shelf.as_on_sheets.to_h { |record| [ record["id"], record["name"] ] }
    lessons.strengths.map do |id, fit|
      {
        product: id, name: names.fetch(id, id), strength: fit.values["strength"].round(2), used: lessons.used.key?(id),
        readings: fit.count, before: fit.before.round(1), after: fit.after.round(1), range: fit.range.map(&:round)
      }
    end
  end
end
