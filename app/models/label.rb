# A label of 70 x 37 mm: lines of text, and a square code that opens a page.
class Label
  include Printed

  WIDTH_MM = 70
  HEIGHT_MM = 37
  CODE_MM = 25

  # @param url [String] of the page
  def initialize(url)
    @url = url
  end

  # @return [Array<String>] lines of text, the name first
  def lines = raise(NotImplementedError)

  # @return [String]
  def svg
    text = lines.each_with_index.map do |line, index|
      size, weight = index.zero? ? [ 4.2, 700 ] : [ 3.6, 400 ]
      %(<text x="3" y="#{7 + index * 5.4}" font-size="#{size}" font-weight="#{weight}"#{fit(line, index)}>) +
        %(#{ERB::Util.html_escape(line)}</text>)
    end
    side = (module_mm * 1.02).round(3)
    code = dark.map do |x, y|
      left, top = WIDTH_MM - CODE_MM - 3 + x * module_mm, 6 + y * module_mm
      %(<rect x="#{left.round(3)}" y="#{top.round(3)}" width="#{side}" height="#{side}"/>)
    end
    <<~SVG
      <svg xmlns="http://www.w3.org/2000/svg" width="#{WIDTH_MM}mm" height="#{HEIGHT_MM}mm"
       viewBox="0 0 #{WIDTH_MM} #{HEIGHT_MM}" font-family="sans-serif" role="img"
       aria-label="#{ERB::Util.html_escape(lines.join(", "))}">
      <rect x="0.2" y="0.2" width="#{WIDTH_MM - 0.4}" height="#{HEIGHT_MM - 0.4}" fill="#fff" stroke="#000"
       stroke-width="0.3"/>
      #{text.join("\n")}
      #{code.join}
      </svg>
    SVG
  end

  # @return [String] PDF of the label's own size
  def pdf
    document = with_font(Prawn::Document.new(page_size: [ WIDTH_MM * MM, HEIGHT_MM * MM ], margin: 0))
    lines.each_with_index { |line, index| write(document, line, index) }
    dark.each do |x, y|
      document.fill_rectangle([ (WIDTH_MM - CODE_MM - 3 + x * module_mm) * MM, (HEIGHT_MM - 6 - y * module_mm) * MM ],
                              module_mm * MM * 1.02, module_mm * MM * 1.02)
    end
    document.render
  end

  private

  def write(document, line, index)
    document.text_box(line, at: [ 3 * MM, (HEIGHT_MM - 3 - index * 5.4) * MM ], width: (WIDTH_MM - CODE_MM - 8) * MM,
                            height: 5.6 * MM, size: index.zero? ? 11 : 9, style: index.zero? ? :bold : :normal,
                            overflow: :shrink_to_fit)
  end

  def code = @code ||= squares(@url)
  def module_mm = CODE_MM / code.last.to_f
  def dark = code.first
  def day(date) = date.strftime("%-d %b %Y")

  # Long lines are drawn narrower rather than into the code.
  def fit(line, index)
    room = WIDTH_MM - CODE_MM - 9
    if line.length * (index.zero? ? 2.3 : 1.95) > room
      %( textLength="#{room}" lengthAdjust="spacingAndGlyphs")
    else
      ""
    end
  end
end
