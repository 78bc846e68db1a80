# A board on paper: itself at its own size with the places of the tape in mm, then its label for the back, its cells
# and the order of work.
class Board::Sheet
  include Printed

  EDGE_MM = 16
  CODE_MM = 30

  # @param board [Board]
  # @param url [String] where the board's page is
  # @param paper [String, nil] of the pages after the first, as Printed::Sheet has it
  def initialize(board, url, paper: nil)
    @board = board
    @paper = Printed::Sheet.paper(paper)
    @url = url
    @names = Shelf.products.transform_values(&:name)
  end

  # @return [String] PDF, the first page 1:1
  def pdf
    @pdf = with_font(
      Prawn::Document.new(page_size: [ (@board.width_mm + 2 * EDGE_MM) * MM, (@board.height_mm + 2 * EDGE_MM) * MM ],
                          margin: 0)
    )
    draw_board
    @pdf.start_new_page(size: @paper, margin: 15 * MM)
    write_label
    write_cells
    write_order
    @pdf.number_pages("#{@board.name}, <page> of <total>", at: [ 0, -6 * MM ], size: 8, page_filter: ->(page) {
      page > 1
    })
    @pdf.render
  end

  # @return [Rhexon::Boards::WorkOrder]
  def order = @board.work_order

  private

  def x(mm) = (EDGE_MM + mm) * MM
  def y(mm) = (EDGE_MM + @board.height_mm - mm) * MM
  def box(place) = @pdf.stroke_rectangle([ x(place.x_mm), y(place.y_mm) ], place.width_mm * MM, place.height_mm * MM)
  def put(text, at_x, at_y, size: 8, **options) = @pdf.draw_text(text, at: [ at_x, at_y ], size: size, **options)

  def draw_strip
    @board.sheet.strips.each_with_index do |stage, index|
      box(stage) && put(index.zero? ? "bare" : index.to_s, x(stage.x_mm + 2), y(stage.y_mm + 6))
    end
  end

  def draw_board
    @pdf.line_width = 0.8
    @pdf.stroke_rectangle([ x(0), y(0) ], @board.width_mm * MM, @board.height_mm * MM)
    @pdf.line_width = 0.4
    @board.cells.zip(@board.places).each { |cell, place| draw_cell(cell, place) }
    draw_strip if @board.step_strip
    (@board.trial ? @board.sheet.tapes : []).each { |way, from, to| draw_tape(way, from, to) }
    put(
      "#{@board.name}, #{@board.wood}, #{@board.width_mm} x #{@board.height_mm} mm, 1:1. Tape at the marks, mm " \
      "from the left and from the top.",
      x(0), 6 * MM
    )
  end

  def draw_cell(cell, place)
    box(place)
    put(cell.label, x(place.x_mm + 3), y(place.y_mm + 8), size: 14)
    varied(cell).each_with_index { |line, index| put(line, x(place.x_mm + 3), y(place.y_mm + 14 + index * 4)) }
  end

  # Where the tape lies: its two edges as dashed lines with their distance.
  def draw_tape(way, from, to)
    @pdf.dash(2)
    [ from, to ].each do |mm|
      if way == :along
        @pdf.stroke_line([ x(mm), y(-3) ], [ x(mm), y(@board.height_mm + 3) ])
      else
        @pdf.stroke_line([ x(-3), y(mm) ], [ x(@board.width_mm + 3), y(mm) ])
      end
    end
    @pdf.undash
    if way == :along
      put("#{from} to #{to}", x(from - 2), y(-5), size: 6)
    else
      put("#{from} to #{to}", 0.5 * MM, y(to) + 2, size: 5)
    end
  end

  def write_label
    dark, count = squares(@url)
    side = CODE_MM * MM / count
    dark.each do |column, row|
      @pdf.fill_rectangle([ 150 * MM + column * side, @pdf.bounds.top - row * side ], side * 1.02, side * 1.02)
    end
    lines = [
      @board.name, "#{@board.wood}#{", #{@board.timber_lot}" if @board.timber_lot}",
      "made #{@board.made_on.strftime("%-d %b %Y")}", "Air: ______ °C  ______ % RH    Who: ______________"
    ]
    lines.each_with_index do |line, index|
      @pdf.text(line, size: index.zero? ? 18 : 11, style: index.zero? ? :bold : :normal)
    end
    @pdf.move_down(14 * MM)
  end

  def write_cells
    heading("Cells")
    @board.cells.each do |cell|
      plain = { "bare" => "bare, as sanded", "base" => "the base" }
      words = varied(cell).presence || [ plain.fetch(cell.role) { steps(cell) } ]
      @pdf.text("#{cell.label}: #{words.join(", ")}", size: 10)
    end
  end

  def write_order
    heading("Order of work")
    order.passes.each_with_index do |pass, index|
      words = pass.label(@names[pass.step["product"]])
      on, covered = [ pass.cells, pass.masked ].map do |labels|
        Rhexon::Boards::Labels.joined(labels, @board.areas.keys)
      end
      @pdf.text("#{index + 1}. #{words}: on #{on}#{"; cover #{covered}" if pass.masked.any?}", size: 10)
    end
    @pdf.move_down(4 * MM)
    @pdf.text(
      order.amounts(@board.areas, Shelf.products).map { |amount| "#{amount["name"]} #{amount["ml"]} ml" }.join(", "),
      size: 10
    )
  end

  def heading(text)
    @pdf.move_down(5 * MM)
    @pdf.text(text, size: 13, style: :bold)
  end

  def varied(cell)
    if cell.run && @board.trial
      @board.trial.named_factors.zip(cell.run).map { |factor, level| "#{factor["name"]} #{factor["levels"][level]}" }
    else
      []
    end
  end

  def steps(cell) = cell.layers.map { |step| Rhexon::Schedule::Words.step(step, @names[step["product"]]) }.join(", ")
end
