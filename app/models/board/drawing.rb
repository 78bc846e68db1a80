# A board 1:1 as SVG, in mm: cut lines, cells with their labels, the step strip, and where the tape lies.
class Board::Drawing
  EDGE_MM = 16

  def initialize(board)
    @board = board
  end

  # @return [String]
  def svg
    wide, high = @board.width_mm + 2 * EDGE_MM, @board.height_mm + 2 * EDGE_MM
    <<~SVG
      <svg xmlns="http://www.w3.org/2000/svg" width="#{wide}mm" height="#{high}mm"
       viewBox="#{-EDGE_MM} #{-EDGE_MM} #{wide} #{high}" font-family="sans-serif" font-size="3.2" fill="#000"
       role="img" aria-label="#{text("#{@board.name}, 1:1")}">
      #{box(0, 0, @board.width_mm, @board.height_mm, 0.4)}
      #{cells.join("\n")}
      #{strips.join("\n")}
      #{tapes.join("\n")}
      <text x="0" y="#{@board.height_mm + 10}">#{text("#{@board.name}, #{@board.wood}, #{size}, 1:1")}</text>
      </svg>
    SVG
  end

  private

  def size = "#{@board.width_mm} x #{@board.height_mm} mm"

  def text(words) = ERB::Util.html_escape(words)

  def box(x, y, width, height, stroke = 0.2)
    %(<rect x="#{x}" y="#{y}" width="#{width}" height="#{height}" fill="none" stroke="#000") +
      %( stroke-width="#{stroke}"/>)
  end

  def named(place, words, size)
    box(place.x_mm, place.y_mm, place.width_mm, place.height_mm) +
      %(<text x="#{place.x_mm + 2}" y="#{place.y_mm + size + 1}" font-size="#{size}">#{text(words)}</text>)
  end

  def cells = @board.cells.zip(@board.places).map { |cell, place| named(place, cell.label, 5) }

  def strips
    if @board.step_strip
      @board.sheet.strips.each_with_index.map { |place, stage| named(place, stage.zero? ? "bare" : stage, 3.2) }
    else
      []
    end
  end

  def tapes
    (@board.trial ? @board.sheet.tapes : []).flat_map do |way, from, to|
      [ from, to ].map do |mm|
        if way == :along
          line(mm, -3, mm, @board.height_mm + 3, mm, -4)
        else
          line(-3, mm, @board.width_mm + 3, mm, -12, mm)
        end
      end
    end
  end

  def line(x, y, to_x, to_y, words_x, words_y)
    %(<path d="M#{x} #{y}L#{to_x} #{to_y}" stroke="#000" stroke-width="0.15" stroke-dasharray="1.5 1"/>) +
      %(<text x="#{words_x}" y="#{words_y}" font-size="2.2">#{x == to_x ? x : y}</text>)
  end
end
