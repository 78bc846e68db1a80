# One page on which a client approves a look: the cell in its colour, its figures and under which conditions they
# hold, and a line to sign.
class Approval::Sheet < Printed::Sheet
  FIELD_MM = 84

  # @param cell [Cell]
  # @param url [String] of the board's page
  def initialize(cell, url, **options)
    super(url: url, **options)
    @cell = cell
    @board = cell.board
  end

  # @return [Array<String>] what was read, or that nothing was
  def figures
    summary = @cell.summary
    [
      summary.lab ? "Colour read: L* #{lab(summary.lab)} (D65, 2°)" : predicted,
      (summary.means["gloss"] && "Gloss: #{summary.means["gloss"].round} GU at 60°"),
      (summary.delta_e &&
        "Off the wanted colour by ΔE #{summary.delta_e}: #{Rhexon::Colour::DeltaE.label(summary.delta_e)}"),
      "Wood: #{[ @board.wood, @board.timber_lot ].compact_blank.join(", ")}"
    ].compact
  end

  # @return [Array<String>] what the look depends on
  def conditions
    age = (@shop.clock.date(Time.current.to_i / 60) - @board.made_on).to_i
    [ "The board is #{age} #{age == 1 ? "day" : "days"} old#{"; a look settles in #{settles} days" if age < settles}.",
      "Wood is a grown thing: another board of the same kind may be paler or darker. A printed colour, or one on a " \
      "screen, is no match; the board itself is.",
      "Look at it where the piece will stand. A later change of the schedule makes this approval void." ]
  end

  # @return [Array<Float>, nil] the colour that is shown: as read, else as predicted
  def shown_lab = @cell.summary.lab || @cell.looks.last_lab

  private

  def title = @board.piece ? "Look of #{@board.piece.name.sub(/^./, &:downcase)}" : "Look of cell #{@cell.label}"
  def subject = [ @board.piece&.job&.client, "cell #{@cell.label} of #{@board.name}" ]
  def settles = Rhexon::Reference.judging.settles_days
  def lab(values) = values.zip([ "", "a* ", "b* " ]).map { |value, name| "#{name}#{value.round(1)}" }.join("  ")

  def predicted
    lab = @cell.looks.last_lab
    lab ? "Not read yet; predicted: L* #{lab(lab)}" : "Not read yet"
  end

  def draw
    draw_field
    figures.each { |line| say(line, size: 11) }
    @pdf.move_down(4 * MM)
    say("Seen by: ____________________ (daylight, or the lamp of its place)", size: 10)
    conditions.each { |line| say(line, size: 10) }
    draw_signature
  end

  def draw_field
    top = @pdf.cursor
    draw_photo(top)
    if (colour = shown_lab)
      @pdf.fill_color(Rhexon::Colour::Lab.hex(colour).delete_prefix("#"))
      @pdf.fill_rectangle([ 0, top ], FIELD_MM * MM, FIELD_MM * 0.66 * MM)
      @pdf.fill_color("000000")
    end
    @pdf.move_cursor_to(top - FIELD_MM * 0.66 * MM - 6 * MM)
  end

  def draw_photo(top)
    photo = @cell.photos.last or return
    @pdf.image(StringIO.new(photo.image.download), at: [ (FIELD_MM + 6) * MM, top ],
                                                   fit: [ 72 * MM, FIELD_MM * 0.66 * MM ])
  rescue ActiveStorage::FileNotFoundError
    nil
  end

  def draw_signature
    @pdf.move_down(12 * MM)
    say("I approve this look.", size: 12, style: :bold)
    @pdf.move_down(14 * MM)
    @pdf.stroke_horizontal_line(0, 80 * MM)
    @pdf.stroke_horizontal_line(100 * MM, 170 * MM)
    @pdf.draw_text("Name", at: [ 0, @pdf.cursor - 12 ], size: 9)
    @pdf.draw_text("Date", at: [ 100 * MM, @pdf.cursor - 12 ], size: 9)
  end
end
