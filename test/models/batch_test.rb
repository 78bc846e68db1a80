require "test_helper"

class BatchTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    travel_to MONDAY
    @clear = stock_two_part(base_g: nil, hardener_g: nil)
  end

  def can(grams = 1000, **more) = Batch.receive!(@clear, grams: grams, on: Date.new(2026, 11, 1), **more)

  test "a can has its date by product and state, and opening shortens it" do
    sealed = can
    assert_equal Date.new(2027, 11, 1), sealed.expires_on
    sealed.open!(on: Date.new(2026, 11, 23))
    assert_equal [ "opened", Date.new(2027, 5, 23) ], [ sealed.state, sealed.expires_on ]
    late = can(on: Date.new(2026, 1, 1)).tap { |old| old.open!(on: Date.new(2026, 12, 1)) }
    assert_equal Date.new(2027, 1, 1), late.expires_on, "opening never lengthens it"
  end

  test "what is left is the sum of its moves; the same id moves once" do
    batch = can
    2.times { batch.weigh!(640, client_id: "w") }
    assert_equal 640.0, batch.left_g
    batch.discard!(client_id: "d")
    assert_equal [ 0.0, true ], [ batch.left_g, batch.discarded_at.present? ]
    assert_equal [ 1000.0, -360.0, -640.0 ], batch.stock_moves.order(:id).pluck(:grams)
    assert_raises(Rhexon::InvalidInput) { can.weigh!(-1, client_id: "x") }
  end

  test "a touch-up is filled off and not counted" do
    batch = can
    jar = batch.keep_touch_up!(100, client_id: "k")
    assert_equal [ 900.0, 100.0, true ], [ batch.left_g, jar.left_g, jar.kept ]
    assert_equal 900.0, Shelf::Stock.left_g("w20")
    assert_equal jar, batch.keep_touch_up!(100, client_id: "k")
    assert_raises(Rhexon::InvalidInput) { batch.keep_touch_up!(5000, client_id: "l") }
  end

  test "boxing makes one lot of several cans" do
    cans = [ can(lot: "A"), can(300, lot: "B") ]
    boxed = Batch.box!(cans, client_id: "box")
    assert_equal [ 1300.0, "A + B", true ], [ boxed.left_g, boxed.lot, boxed.boxed ]
    assert_equal [ 0.0, 0.0 ], cans.map { |batch| batch.reload.left_g }
    assert_equal boxed, Batch.box!(cans, client_id: "box")
    other = Batch.receive!(Product.find_by(code: "seal"), grams: 10)
    assert_raises(Rhexon::InvalidInput) { Batch.box!([ can, other ], client_id: "no") }
  end

  test "what is thrown away is counted and costed" do
    @clear.update!(figures: @clear.figures.merge("packs" => [ { "g" => 1000, "price" => 30 } ]))
    can(500).discard!(client_id: "d")
    assert_equal({ days: 30, g: 500, cost: 15.0 }, Shelf::Waste.lately)
    travel 31.days
    assert_equal 0, Shelf::Waste.lately[:g]
  end

  test "the label carries name, dates and a code that leads to its page" do
    label = Batch::Label.new(can(lot: "26 <3>"), "http://shop.example/batches/1")
    svg = Nokogiri::XML(label.svg) { |config| config.strict }
    assert_equal "Skerrow W20 clear satin", svg.at_css("text").text
    assert_includes label.svg, "26 &lt;3&gt;"
    assert_operator svg.css("rect").size, :>, 200
    assert label.pdf.start_with?("%PDF")
  end

  test "the pot weighed before and after tells the film" do
    piece = make_piece(steps: [ coat("s1") ])
    Batch.receive!(@clear, grams: 3000)
    Batch.receive!(Product.find_by(code: "h12"), grams: 500)
    mix = Mix::Start.for_pass!("#{piece.core_id}/s1/1/top")
    mix.sheet.pours.each do |target|
      Mix::Desk.new(mix).pour!({ "client_id" => SecureRandom.uuid, "name" => target.name, "g" => target.g },
                               happened_at: Time.current)
    end
    batch = Mix::Desk.new(mix).finish!(client_id: "f", happened_at: Time.current)
    log(piece, "s1/1/top", "started", 40.minutes.ago)
    log(piece, "s1/1/top", "done", 20.minutes.ago)
    assert_nil Batch::Use.new(batch).to_h[:film_um]
    # A hundred µm on 1 m² with 70 % landing take 142.9 ml; density (104 + 11.2) / 110.
    batch.weigh!(batch.left_g - 142.857 * 115.2 / 110, client_id: "w")
    assert_equal 100, Batch::Use.new(batch.reload).to_h[:film_um]
  end
end
