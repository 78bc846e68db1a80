require "test_helper"
require_relative "../good/workshop"

# What is made of a system for a piece: coats for the film, pores, sheen, an old finish, what is to buy.
class InstanceTest < CoreTest
  include Workshop

  HAND = %w[brush wipe pad roller].freeze

  def answer(wish = {}, shelf: products, **fields)
    own = piece({}, wood: fields.delete(:grain) || "closed").merge(fields.transform_keys(&:to_s))
    own["faces"].first["found"] = own.delete("found") if own["found"]
    shop = Rhexon::Planning::Shop.new(shop_json(own, products: shelf))
    Rhexon::Systems::Engine.new(shop, "top", wish.transform_keys(&:to_s)).answer
  end

  # @return [Array<Hash>] steps of one system, whether it is proposed or made needless by another
  def steps(system, wish = {}, **fields)
    found = answer(wish.merge(weights: {}), **fields).proposals.find { |one| one.id == system }
    assert found, "#{system} is not proposed"
    found.document["steps"]
  end

  def coats(steps) = steps.select { |one| one["kind"] == "coat" }.map { |one| [ one["product"], one["coats"] ] }

  # 85 µm wet of 48 % is 40.8 µm. On open grain 16.3, 30.6, 40.8: three coats are 87.7 and reach 65 x 1.1 = 71.5; on
  # closed grain 22.4 and 36.7 are 59.1 and reach 50 x 1.1 = 55 with two.
  def test_as_many_coats_as_the_use_asks_for
    assert_equal [ [ "varnish", 3 ] ],
                 coats(steps("brushed_varnish", { gear: %w[brush] }, wood: "oak", grain: "open", use: "table_top"))
    assert_equal [ [ "varnish", 2 ] ],
                 coats(steps("brushed_varnish", { gear: %w[brush] }, wood: "maple", use: "furniture"))
  end

  def test_grain_is_raised_under_water_and_not_under_varnish
    kinds = ->(system) { steps(system, { gear: %w[brush] }, wood: "maple", use: "furniture").map { |one| one["kind"] } }
    assert_equal %w[sand raise_grain sand coat], kinds.("waterborne_brushed")
    assert_equal %w[sand coat], kinds.("brushed_varnish")
  end

  def test_pores_are_filled_where_they_are_wanted_closed
    filled = steps("brushed_varnish", { gear: HAND, pores: "closed" }, wood: "mahogany", grain: "open", use: "show")
    assert_equal %w[sand fill sand coat], filled.map { |one| one["kind"] }
    padded = steps("padded_shellac", { gear: HAND, pores: "closed", sheen: [ 75, 95 ] }, wood: "walnut",
                                                                                        grain: "semi_open", use: "show")
    assert_equal "slurry", padded.find { |one| one["kind"] == "fill" }["way"]
  end

  # Of the shelf where the shelf has the sheen; else a can of that sheen is to buy.
  def test_the_shelf_comes_first_and_what_it_lacks_is_to_buy
    made = answer({ gear: %w[spray], sheen: [ 10, 15 ] }, wood: "maple", use: "furniture")
    lacquer = made.proposals.find { |one| one.id == "sprayed_lacquer" }
    assert_equal [ [], "flat" ], [ lacquer.bought, lacquer.top.id ]
    none = answer({ gear: HAND }, shelf: [], wood: "maple", use: "furniture")
    refute_empty none.proposals
    assert(none.proposals.all? { |one| one.bought.any? }, "an empty shelf has nothing but what is to buy")
  end

  def test_an_old_finish_is_washed_scuffed_and_locked_or_melted_into
    old = { "is" => "unknown", "coats" => 3, "state" => "sound" }
    over = ->(found, system) {
      steps(system, { gear: %w[brush spray] }, wood: "walnut", use: "furniture", found: found)
        .map { |one| one["role"] || one["kind"] }
    }
    assert_equal %w[clean level barrier top], over.(old, "brushed_varnish")
    refute_includes over.(old.merge("family" => "lacquer"), "sprayed_lacquer"), "barrier"
  end

  def test_a_weight_moves_the_order
    gear = Rhexon::Systems::Wish::GEAR
    made = answer({ gear: gear }, wood: "maple", use: "show").proposals
    first = ->(weights) { answer({ gear: gear, weights: weights }, wood: "maple", use: "show").proposals.first }
    only = ->(name) { Rhexon::Systems::Wish::WEIGHTS.keys.to_h { |one| [ one, one == name ? 5 : 0 ] } }
    assert_equal made.map(&:hands_min).min, first.(only.("hours")).hands_min
    assert_equal made.map(&:odour).min, first.(only.("odour")).odour
    assert_equal 5, first.(only.("repair")).repair
  end

  # --- colour
  DYE = { "id" => "dye", "name" => "Russet dye", "class" => "water_dye", "colour" => "tinted",
          "optics" => { "kind" => "dye", "bands" => [ [ 430, 45, 12.0 ], [ 535, 36, 3.0 ], [ 620, 60, 0.3 ] ] } }.freeze
  RUSSET = [ 34.6, 20.2, 23.6 ].freeze

  def coloured(lab, wood: "elm")
    answer({ lab: lab, gear: Rhexon::Systems::Wish::GEAR, sheen: [ 20, 40 ] }, shelf: products + [ DYE ], wood: wood,
                                                                            grain: "open", use: "furniture")
  end

  def test_a_wanted_colour_is_stained_under_what_is_clear_with_its_grain_raised
    made = coloured(RUSSET).proposals
    assert(made.all? { |one| one.document["steps"].any? { |step| step["product"] == "dye" } }, "all are clear")
    kinds = made.first.document["steps"].map { |step| step["kind"] }
    assert_equal %w[sand raise_grain sand stain], kinds.first(4)
    bare = coloured(nil).proposals.first
    assert_operator made.first.delta_e(RUSSET), :<, 2, "seen side by side at most"
    assert_operator bare.delta_e(RUSSET), :>, 15
  end

  # No stain makes elm lighter, and none is needed where it is the colour already.
  def test_what_adding_cannot_reach_or_is_there_is_left_alone
    stains = ->(lab) {
      coloured(lab).proposals.flat_map { |one| one.document["steps"] }.count { |one| one["kind"] == "stain" }
    }
    assert_equal 0, stains.([ 92, 0, 8 ])
    as_it_is = coloured(nil).proposals.first.look.lab
    assert_equal 0, stains.(as_it_is)
  end

  # --- begun
  # @param done [Hash{String=>Integer}] step id => coats that are in the log
  # @return [Engine::Answer]
  def going_on(steps, done, wish = {}, found: nil)
    log = done.flat_map { |id, coats| (1..coats).map { |coat| "top/#{id}/#{coat}/show" } }
      .each_with_index.flat_map do |pass, index|
        from, to = [ 0, 30 ].map { |min| format("2026-11-%<day>02dT08:%<min>02d+01:00", day: 16 + index, min: min) }
        [ { "kind" => "started", "pass" => pass, "at" => from }, { "kind" => "done", "pass" => pass, "at" => to } ]
      end
    own = piece(document(*steps), wood: "closed").merge("wood" => "maple", "use" => "furniture")
    own["faces"].first["found"] = found if found
    shop = Rhexon::Planning::Shop.new(shop_json(own, products: products + [ DYE ], log: log))
    Rhexon::Systems::Engine.new(shop, "top", { "gear" => Rhexon::Systems::Wish::GEAR, **wish }).answer
  end

  def kinds(proposal) = proposal.document["steps"].map { |one| one["kind"] }

  SANDED = { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }.freeze
  DYED = { "id" => "s2", "kind" => "stain", "product" => "dye", "method" => "wipe" }.freeze

  BRUSHED = { "id" => "s2", "kind" => "coat", "product" => "varnish", "method" => "brush", "coats" => 3,
              "role" => "top", "wet_um" => 85 }.freeze

  def test_what_is_sanded_and_stained_stays_and_each_way_goes_on_from_there
    later = BRUSHED.merge("id" => "s3")
    made = going_on([ SANDED, DYED, later ], { "s1" => 1, "s2" => 1 })
    assert_operator made.proposals.size, :>=, 3
    made.proposals.each do |one|
      assert_equal %w[s1 s2], one.document["steps"].first(2).map { |step| step["id"] }, one.id
      assert_equal %w[sand stain], kinds(one).first(2), one.id
      assert_equal 1, kinds(one).count("stain"), one.id
    end
    painted = going_on([ SANDED, DYED ], { "s1" => 1, "s2" => 1 }, { "opaque" => true })
    assert_includes painted.fallen.map(&:reason), "it would hide the colour that is on"
  end

  # Two coats are asked for and one is on; another product goes over it scuffed, and oil does not get in any more.
  def test_a_coat_that_is_on_counts_and_what_has_to_get_into_the_wood_falls_out
    made = going_on([ SANDED, BRUSHED ], { "s1" => 1, "s2" => 1 }, { "weights" => {} })
    same = made.proposals.find { |one| one.id == "brushed_varnish" }
    assert_equal [ [ "s1", nil ], [ "s2", 2 ] ], same.document["steps"].map { |one| one.values_at("id", "coats") }
    assert_equal "it would not get into the wood any more",
                 made.fallen.find { |one| one.system.id == "hardwax_oil" }.reason
    others = made.proposals - [ same ]
    assert(others.all? { |one| one.document["steps"][2].values_at("kind", "aim") == %w[level scuff] }, others.map(&:id))
  end

  # An old film that is off lets oil in again; one that is washed is not washed twice, and is locked all the same.
  def test_an_old_finish_that_is_off_or_washed_by_now
    old = { "is" => "coated", "family" => "cross_linked", "coats" => 3, "state" => "sound" }
    strip = { "id" => "s1", "kind" => "strip", "way" => "scraping" }
    wash = { "id" => "s1", "kind" => "clean", "way" => "wash" }
    oiled = ->(steps) { going_on(steps, { "s1" => 1 }.slice(*steps.map { |one| one["id"] }), found: old) }
    assert_includes oiled.([]).fallen.map(&:reason), "the old finish would have to go"
    off = oiled.([ strip ])
    assert_equal %w[strip sand coat], kinds(off.proposals.find { |one| one.id == "hardwax_oil" })
    refute_includes off.fallen.map(&:reason), "the old finish would have to go"
    washed = oiled.([ wash ]).proposals.find { |one| one.id == "waterborne_two_part" }
    assert_equal %w[clean level coat coat], kinds(washed)
    assert_equal "barrier", washed.document["steps"][2]["role"]
  end

  # Shellac and its wax are on: that way is done, and any other takes the wax off before it scuffs.
  def test_wax_that_is_on_ends_its_way_and_goes_off_for_any_other
    shellac = BRUSHED.merge("product" => "seal", "wet_um" => 80)
    wax = { "id" => "s3", "kind" => "wax", "product" => "wax", "method" => "wipe" }
    made = going_on([ SANDED, shellac, wax ], { "s1" => 1, "s2" => 3, "s3" => 1 }).proposals
    whole, others = made.partition { |one| one.id == "shellac_and_wax" }
    assert_equal [ %w[sand coat wax] ], whole.map { |one| kinds(one) }
    refute_empty others
    others.each { |one| assert_equal %w[sand coat wax clean level coat], kinds(one).first(6), one.id }
  end

  # A shell asks the same.
  def test_a_shell_proposes
    asked = { "shop" => shop_json(piece({}).merge("wood" => "maple", "use" => "furniture"), products: products),
              "wish" => { "gear" => HAND } }
    out = StringIO.new
    assert_equal 0, Rhexon::CLI.new(input: StringIO.new(JSON.generate(asked)), output: out).run(%w[propose])
    told = JSON.parse(out.string)
    assert_equal "rhexon-proposals/1", told["format"]
    assert told["proposals"].all? { |one| one["schedule"]["steps"].any? && one["ready_at"] }
    errors = StringIO.new
    assert_equal 2, Rhexon::CLI.new(input: StringIO.new("{}"), errors: errors).run(%w[propose])
    assert_match(/A wish is for a piece of a shop/, errors.string)
  end

  def test_every_class_of_every_system_is_known_and_laid_on_some_way_it_has
    Rhexon::Systems::System.all.each do |system|
      system.lays.select { |laid| laid["class"] }.each do |laid|
        laid["class"].each { |id| assert Rhexon::Reference.classes.classes.key?(id), "#{system.id}: #{id}" }
        assert laid["way"].any?, system.id
      end
    end
  end
end
