# A quote for the client: what is done to the piece, when it is ready, and the price.
class Piece::QuoteSheet < Printed::Sheet
  # @param piece [Piece]
  # @param figures [Hash] as QuoteState reckons them, today or when it was given
  def initialize(piece, figures, **options)
    super(**options)
    @piece = piece
    @figures = figures
  end

  # @return [Array<Array(String, String)>] each line of the price and its money
  def lines
    net, tax, gross = @figures["sums"].values_at("net", "tax", "gross")
    percent = @figures["terms"]["tax_percent"]
    [ [ "Finishing", money(net) ],
      (percent.positive? ? [ "Tax, #{format("%g", percent)} %", money(tax) ] : nil),
      [ "Price", money(gross) ],
      (@piece.count > 1 ? [ "of it each of #{@piece.count}", money(gross / @piece.count) ] : nil) ].compact
  end

  private

  def title = "Quote: #{@piece.name}"
  def subject
    [ @piece.job.client, @piece.wood, (@piece.count > 1 ? "#{@piece.count} off" : nil),
      "of #{day(@made_at.to_i / 60)}" ]
  end
  def money(value) = "#{format("%.2f", value)} #{@figures["currency"]}"

  def draw
    part("What is done")
    @figures["steps"].each_with_index { |words, index| say("#{index + 1}. #{words}", size: 10) }
    if (ready = @figures["ready_at"])
      @pdf.move_down(3 * MM)
      say("Ready by the plan of that day: #{day(ready)}.", size: 10)
    end
    price
    conditions
  end

  def price
    @pdf.move_down(8 * MM)
    lines.each do |name, money|
      bold = name == "Price" ? { style: :bold } : {}
      @pdf.stroke_horizontal_rule if name == "Price"
      @pdf.move_down(1.5 * MM)
      top = @pdf.cursor
      say(name, size: 12, **bold)
      @pdf.move_cursor_to(top)
      say(money, size: 12, align: :right, **bold)
    end
  end

  def conditions
    unpriced = @figures["unpriced"]
    @pdf.move_down(8 * MM)
    say("Not in this price: #{unpriced.join(", ")}.", size: 10) if unpriced.any?
    say("The date and the price hold for the work as it is written here, and for what material costs on the day it " \
        "was made.", size: 10)
  end
end
