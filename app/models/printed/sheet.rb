require "prawn/table"

# A printed sheet of the shop, A4 or Letter, black on white: whose it is and of what, what it says, and at the foot of
# each page when it was made, its number, and a code back to the record.
class Printed::Sheet
  include Printed

  PAPERS = { "a4" => "A4", "letter" => "LETTER" }.freeze
  MARGIN_MM = 18
  CODE_MM = 16
  # What is printed first and last on a page keeps clear of its foot.
  FOOT_MM = 22

  # @return [String] size of a page, as Prawn names it
  def self.paper(name) = PAPERS.fetch(name.to_s, Shop.current.units == "us" ? "LETTER" : "A4")

  # @param paper [String, nil] of PAPERS; nil: as the shop's units have it
  # @param url [String, nil] of the record that it is about
  def initialize(paper: nil, url: nil, made_at: Time.current)
    @shop = Shop.current
    @paper = self.class.paper(paper)
    @url = url
    @made_at = made_at
  end

  # @return [String] PDF
  def pdf
    @pdf = with_font(Prawn::Document.new(page_size: @paper, margin: [ MARGIN_MM * MM, MARGIN_MM * MM, FOOT_MM * MM,
                                                                      MARGIN_MM * MM ], info: { Title: title }))
    heading
    draw
    foot
    @pdf.render
  end

  private

  # @return [String]
  def title = raise(NotImplementedError)
  # @return [Array<String>] what it is about, in a line
  def subject = []
  def draw = raise(NotImplementedError)

  def heading
    say(@shop.name, size: 9)
    say(title, size: 18, style: :bold)
    say(subject.compact_blank.join(" · "), size: 10.5) if subject.any?
    @pdf.move_down(3 * MM)
    @pdf.line_width = 0.8
    @pdf.stroke_horizontal_rule
    @pdf.move_down(4 * MM)
  end

  def say(words, **options) = @pdf.text(words.to_s, leading: 2, **options)

  # The head of a part, which does not stand alone at the end of a page.
  def part(words)
    @pdf.start_new_page if @pdf.cursor < 22 * MM
    @pdf.move_down(3 * MM)
    say(words, size: 11.5, style: :bold)
    @pdf.move_down(1 * MM)
  end

  # @param rows [Array<Array<String>>] the first one names the columns
  # @param widths [Array<Numeric>] in mm; the rest goes to the column that has none
  def table(rows, widths, size: 9)
    return if rows.size < 2

    free = @pdf.bounds.width - widths.compact.sum * MM
    columns = widths.map { |width| width ? width * MM : free / widths.count(nil) }
    @pdf.table(rows.map { |row| row.map(&:to_s) }, header: true, column_widths: columns,
                                                   cell_style: { size: size, borders: [ :bottom ], border_width: 0.4,
                                                                 padding: [ 2.5, 4, 2.5, 0 ], inline_format: false }) do
      row(0).font_style = :bold
      row(0).border_width = 0.8
    end
    @pdf.move_down(2 * MM)
  end

  # @param lines [Array<String>]
  def list(lines, size: 9.5) = lines.each { |line| say("– #{line}", size: size) }

  # An empty square to be ticked by hand.
  def box(x, y, side_mm = 4) = @pdf.stroke_rectangle([ x, y ], side_mm * MM, side_mm * MM)

  # @param count [Integer] minutes
  def duration(count) = count >= 60 ? format("%d h %02d", count / 60, count % 60) : "#{count} min"

  def clock(minute) = @shop.clock.label(minute)
  def day(minute) = @shop.clock.date(minute).strftime("%-d %B %Y")

  def foot
    words = "Made on #{clock(@made_at.to_i / 60)}"
    @pdf.repeat(:all) do
      @pdf.canvas { draw_foot(words) }
    end
    @pdf.number_pages("<page> of <total>", at: [ @pdf.bounds.right - 80, -FOOT_MM * MM + 34 ], width: 80, align: :right,
                                           size: 8)
  end

  def draw_foot(words)
    left = MARGIN_MM * MM
    code_at(left, (CODE_MM + 4) * MM) if @url
    @pdf.draw_text(words, at: [ left + (@url ? (CODE_MM + 4) * MM : 0), 10 * MM ], size: 8)
    @pdf.draw_text(footer_says, at: [ left + (@url ? (CODE_MM + 4) * MM : 0), 6 * MM ], size: 8) if footer_says
  end

  # @return [String, nil] a line at the foot of every page
  def footer_says = @url && "The code leads to the record"

  def code_at(x, y)
    @code ||= squares(@url)
    dark, count = @code
    side = CODE_MM * MM / count
    dark.each do |column, row|
      @pdf.fill_rectangle([ x + column * side, y - row * side ], side * 1.02, side * 1.02)
    end
  end
end
