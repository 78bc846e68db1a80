require "test_helper"

class MixDeskTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    travel_to MONDAY
    @clear = stock_two_part
  end

  BASE = "Skerrow W20 clear satin".freeze
  HARDENER = "Skerrow H12 hardener".freeze

  def alone(**more)
    Mix::Start.alone!({ "product" => "w20", "want" => { "amount" => "500 ml" }, **more.transform_keys(&:to_s) })
  end

  def pour(mix, name, g, at: Time.current)
    Mix::Desk.new(mix).pour!({ "client_id" => SecureRandom.uuid, "name" => name, "g" => g }, happened_at: at)
  end

  def way(mix, kind) = Mix::Desk.new(mix).way_on!(kind, client_id: SecureRandom.uuid, happened_at: Time.current)
  def finish(mix) = Mix::Desk.new(mix).finish!(client_id: SecureRandom.uuid, happened_at: Time.current)
  def left(code) = Shelf::Stock.left_g(code).round(2)

  test "a mix for a pass takes its amounts from the plan, once" do
    piece = make_piece(steps: [ coat("s1", coats: 2) ])
    mix = Mix::Start.for_pass!("#{piece.core_id}/s1/1/top")
    # 1 m² at 100 µm, 70 % lands, 60 ml stay behind, 10 % margin: 223.1 ml a coat, and one pot serves both.
    assert_in_delta 446.3, mix.sheet.total_ml, 0.1
    assert_equal 2, mix.pass_keys.size
    assert_equal mix, Mix::Start.for_pass!("#{piece.core_id}/s1/2/top")
    assert_raises(Rhexon::InvalidInput) { Mix::Start.for_pass!("p99/s1/1/top") }
  end

  test "an over-pour moves the next target, and taking it back moves it back" do
    mix = alone
    assert_in_delta 50.91, Mix::PotState.new(mix).pours.last.add_g, 0.01
    pour(mix, BASE, 520)
    assert_in_delta 56.0, Mix::PotState.new(mix).pours.last.add_g, 0.01
    Mix::Desk.new(mix).take_back!(entry: mix.pours.last.id, client_id: "back", happened_at: Time.current)
    assert_in_delta 50.91, Mix::PotState.new(mix).pours.last.add_g, 0.01
    assert_equal %w[poured correction], mix.entries.order(:id).pluck(:kind)
  end

  test "pot life runs from the hardener, in the room's air" do
    mix = alone
    pour(mix, BASE, 472.7)
    assert_nil mix.hardened_at
    travel 5.minutes
    pour(mix, HARDENER, 50.9)
    assert_equal MONDAY + 5.minutes, mix.hardened_at
    assert_equal MONDAY + 5.minutes + 192.minutes, mix.usable_until
  end

  test "done, it stands on the shelf and the shelf holds less" do
    mix = alone
    pour(mix, BASE, 472.7)
    assert_raises(Rhexon::InvalidInput, match: /hardener is not in the pot/) { finish(mix) }
    pour(mix, HARDENER, 50.9)
    batch = finish(mix)
    assert_equal [ "catalysed", 523.6 ], [ batch.state, batch.left_g ]
    assert_equal mix.usable_until, batch.usable_until
    assert_equal [ 4527.3, 749.1 ], [ left("w20"), left("h12") ]
    assert_equal "opened", Batch.find_by(lot: "L1").state
    assert_equal batch, finish(mix), "a repeat is not a second batch"
    assert_equal({ "received" => 2, "poured into #{BASE}" => 2, "mixed" => 1 }, StockMove.group(:reason).count)
    assert_raises(Rhexon::InvalidInput) { pour(mix, BASE, 10) }
  end

  test "leaving an over-pour keeps the first targets while the maker's range allows it" do
    mix = alone
    pour(mix, BASE, 540)
    assert_includes Mix::PotState.new(mix).options.map(&:kind), "accept"
    way(mix, "accept")
    state = Mix::PotState.new(mix.reload)
    assert_in_delta 50.91, state.pours.last.add_g, 0.01
    assert_empty state.options
  end

  test "splitting fills a second pot with the same shares and the same clock" do
    mix = alone
    pour(mix, BASE, 472.7)
    pour(mix, HARDENER, 76.365)
    travel 3.minutes
    way(mix, "split")
    second = Mix.order(:id).last
    assert_equal "#{BASE}, second pot", second.name
    assert_equal MONDAY, second.hardened_at
    factor = 76.365 / 50.909
    assert_in_delta 472.7 / factor, mix.reload.poured_g(BASE), 0.02
    assert_in_delta 472.7, mix.poured_g(BASE) + second.poured_g(BASE), 0.02
    assert_in_delta 76.365, mix.poured_g(HARDENER) + second.poured_g(HARDENER), 0.02
    assert_in_delta mix.sheet.grams[0] - 472.7 / factor, Mix::PotState.new(mix).pours.first.add_g, 0.1
  end

  test "throwing away takes what was poured off the shelf and begins again" do
    mix = alone
    pour(mix, BASE, 472.7)
    pour(mix, HARDENER, 90)
    fresh = way(mix, "discard")
    refute_equal mix, fresh
    assert_equal [ 4527.3, 710.0 ], [ left("w20"), left("h12") ]
    assert_empty fresh.pours
    assert_predicate mix.reload, :closed_at
  end

  test "more than the record said was there empties the cans and goes on" do
    mix = alone(want: { "amount" => "8 l" })
    pour(mix, BASE, 7563.6)
    pour(mix, HARDENER, 814.5)
    finish(mix)
    assert_equal [ 0.0, 0.0 ], [ left("w20"), left("h12") ]
  end

  test "opened cans go before sealed ones, the first to expire first" do
    young = Batch.receive!(@clear, grams: 900, state: "opened", on: Date.new(2026, 11, 1))
    old = Batch.receive!(@clear, grams: 100, state: "opened", on: Date.new(2026, 9, 1))
    mix = alone
    pour(mix, BASE, 472.7)
    pour(mix, HARDENER, 50.9)
    finish(mix)
    assert_equal [ 0.0, 527.3, 5000.0 ], [ old, young, Batch.find_by(lot: "L1") ].map { |can| can.reload.left_g }
    assert_equal "sealed", Batch.find_by(lot: "L1").state
  end

  test "typed readings in the shop's units" do
    mix = alone
    Mix::Desk.new(mix).pour!({ "client_id" => "a", "name" => BASE, "typed" => "1 lb" }, happened_at: Time.current)
    Mix::Desk.new(mix).pour!({ "client_id" => "b", "name" => BASE, "typed" => "18,4" }, happened_at: Time.current)
    Mix::Desk.new(mix).pour!({ "client_id" => "c", "name" => HARDENER, "typed" => "45 ml" }, happened_at: Time.current)
    assert_equal [ 471.99, 50.4 ], mix.poured.map { |pour| pour["g"] }
    assert_raises(Rhexon::InvalidInput) do
      Mix::Desk.new(mix).pour!({ "client_id" => "d", "name" => BASE, "typed" => "a drop" }, happened_at: Time.current)
    end
  end

  test "a mix by itself: of the total, from what is left, a recipe, and what is refused" do
    assert_in_delta 110, alone(want: { "have" => HARDENER, "amount" => "10 ml" }).sheet.total_ml, 0.01
    assert_in_delta 500 * 0.1 / 1.0, alone(thinning: { "percent" => 10, "of" => "total" }).sheet.millilitres.last, 0.01
    recipe = Recipe.create!(
      name: "Brown",
      components: [
        { "name" => "A", "parts" => 1, "basis" => "mass" }, { "name" => "B", "parts" => 3, "basis" => "mass" }
      ]
    )
    assert_equal [ 25.0, 75.0 ],
                 Mix::Start.alone!({ "recipe_id" => recipe.id, "want" => { "amount" => "100 g" } })
                   .sheet.grams
                   .map { |g| g.round(6) }
    assert_raises(Rhexon::InvalidInput) { alone(want: { "amount" => "-3 l" }) }
    assert_raises(Rhexon::InvalidInput) { alone(hardener_parts: -2) }
    assert_raises(Rhexon::InvalidInput) do
      Mix::Start.alone!({
                          "components" => [ { "name" => "A", "parts" => 1,
                                              "density_g_per_ml" => 0 } ], "want" => { "amount" => "1 l" }
                        })
    end
    refute Recipe.new(name: "Bad", components: [ { "name" => "A", "parts" => 0 } ]).valid?
  end

  test "what was mixed for a pass is not asked of the shelf again" do
    piece = make_piece(steps: [ coat("s1") ])
    needed = -> { ShopFloor.new.plan.shopping.lines.find { |line| line.product.id == "w20" } }
    assert_operator needed.().need_g, :>, 200
    mix = Mix::Start.for_pass!("#{piece.core_id}/s1/1/top")
    mix.sheet.pours.each { |target| pour(mix, target.name, target.g.round(1)) }
    finish(mix)
    assert_nil needed.()
    assert_equal [ "catalysed" ], ShopFloor.new.to_core["stock"].filter_map { |can| can["state"] if can["passes"].any? }
  end

  test "the pot ages through the air of its room, as the plan says" do
    room = Room.find_by!(name: "bench")
    room.update!(daily: [ { "at" => "00:00", "t_c" => 20, "rh" => 50 }, { "at" => "09:00", "t_c" => 30, "rh" => 50 } ])
    piece = make_piece(steps: [ coat("s1") ])
    batch = ShopFloor.new.plan.batches.first
    mix = Mix::Start.for_pass!("#{piece.core_id}/s1/1/top")
    pour(mix, BASE, mix.sheet.grams[0])
    # The hardener goes in at 8:00 in Berlin: 60 min at 20 °C, the other 132 twice as fast.
    pour(mix, HARDENER, mix.sheet.grams[1])
    assert_equal MONDAY + 126.minutes, mix.usable_until
    assert_equal batch.usable_until - batch.mixed_at, mix.usable_min
  end
end
