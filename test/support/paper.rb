require "vips"

# Sheets on paper, rendered to pictures: what is printed stays inside its page, and is black on white.
module Paper
  # Pixels to an inch: enough to see a hairline.
  DPI = 72
  POINTS = { a4: [ 595, 842 ], letter: [ 612, 792 ] }.freeze
  EDGE_MM = 6

  # @return [Array<Vips::Image>] a picture of each page
  def pages(pdf)
    # The application itself opens no PDF: what is uploaded could be one.
    Vips.block("VipsForeignLoadPdf", false)
    count = Vips::Image.new_from_buffer(pdf, "", dpi: DPI).get("n-pages")
    count.times.map do |page|
      Vips::Image.new_from_buffer(pdf, "", dpi: DPI, page: page).flatten(background: 255).copy_memory
    end
  ensure
    Vips.block("VipsForeignLoadPdf", true)
  end

  # @param coloured [Boolean] a picture of a look may stand on it
  def assert_printed(pdf, paper: :a4, coloured: false)
    pages(pdf).each_with_index do |page, index|
      assert_equal POINTS.fetch(paper), [ page.width, page.height ], "size of page #{index + 1}"
      assert_operator page.colourspace(:b_w).min, :<, 80, "page #{index + 1} is empty"
      assert_equal 255, edges(page).map(&:min).min, "page #{index + 1} runs over its edge"
      assert_operator tint(page), :<, 12, "page #{index + 1} is not black on white" unless coloured
    end
  end

  private

  def edges(page)
    wide = (EDGE_MM / 25.4 * DPI).round
    grey = page.colourspace(:b_w)
    [ grey.crop(0, 0, wide, grey.height), grey.crop(grey.width - wide, 0, wide, grey.height),
      grey.crop(0, 0, grey.width, wide) ]
  end

  # How far any dot is from grey.
  def tint(page)
    red, green, blue = page.bandsplit
    [ (red - green).abs.max, (green - blue).abs.max ].max
  end
end
