# A quote for the client: what is done to the piece, when it is ready, and the price.
class Piece::QuoteSheet
  include Printed

  # @param piece [Piece]
  # @param state [QuoteState]
  def initialize(piece, state)
    @piece = piece
    @state = state
    @shop = Shop.current
  end

  # @return [String] PDF, A4
  # @raise [Rhexon::InvalidInput] where there is no price for all of the work
  def pdf
    @state.given
    @pdf = with_font(Prawn::Document.new(page_size: "A4", margin: 20 * MM))
    head
    work
    price
    conditions
    @pdf.number_pages("<page> of <total>", at: [ @pdf.bounds.right - 60, -12 ], width: 60, align: :right, size: 8)
    @pdf.render
  end

  # @return [Array<String>] the steps in words, with their coats
  def steps
    names = Shelf.products.transform_values(&:name)
    @piece.schedule.steps.map do |step|
      words = Rhexon::Schedule::Words.step(step, names[step["product"]])
      step["coats"].to_i > 1 ? "#{words}, #{step["coats"]} coats" : words
    end
  end

  # @return [Array<Array(String, String)>] each line of the price and its money
  def lines
    sums = @state.quote.sums
    tax = @state.terms["tax_percent"]
    [ [ "Finishing", money(sums.net) ],
      (tax.positive? ? [ "Tax, #{format("%g", tax)} %", money(sums.tax) ] : nil),
      [ "Price", money(sums.gross) ],
      (@piece.count > 1 ? [ "of it each of #{@piece.count}", money(sums.gross / @piece.count) ] : nil) ].compact
  end

  private

  def money(value) = "#{format("%.2f", value)} #{@state.currency}"
  def day(minute) = @shop.clock.date(minute).strftime("%-d %B %Y")
  def say(words, **options) = @pdf.text(words, leading: 3, **options)

  def head
    say(@shop.name, size: 10)
    say("Quote: #{@piece.name}", size: 20, style: :bold)
    say([ @piece.job.client, @piece.wood, (@piece.count > 1 ? "#{@piece.count} off" : nil) ].compact_blank.join(" · "),
        size: 12)
    say("Made on #{day(Time.current.to_i / 60)}", size: 10)
  end

  def work
    @pdf.move_down(8 * MM)
    say("What is done", size: 12, style: :bold)
    steps.each_with_index { |words, index| say("#{index + 1}. #{words}", size: 10) }
    return unless (ready = @state.ready_at)

    @pdf.move_down(3 * MM)
    say("Ready by the plan of today: #{day(ready)}.", size: 10)
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
    unpriced = @state.quote.unpriced
    @pdf.move_down(8 * MM)
    say("Not in this price: #{unpriced.join(", ")}.", size: 10) if unpriced.any?
    say("The date and the price hold for the work as it is written here, and for what material costs on the day it " \
        "was made.", size: 10)
  end
end
