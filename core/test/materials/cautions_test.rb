require "test_helper"

class CautionsTest < CoreTest
  def product(klass) = Rhexon::Materials::Product.new("id" => "p", "class" => klass)

  def cautions(klass, method = "spray", **work)
    Rhexon::Materials::Cautions.for(product(klass), method, **work).map(&:text).join(" ")
  end

  def of_work(kind, way = nil, **said)
    Rhexon::Materials::Cautions.for(nil, nil, kind: kind, way: way, **said).map(&:text).join(" ")
  end

  def test_each_danger_is_named_where_it_belongs
    assert_match(/catch fire hours later/, cautions("oil_varnish", "brush"))
    assert_match(/catch fire hours later/, cautions("hardwax_oil", "wipe"))
    assert_match(/catch fire hours later/, cautions("pigment_oil_stain", "wipe", kind: "stain"))
    assert_match(/isocyanates.*Supplied air/, cautions("waterborne_two_part"))
    assert_match(/formaldehyde/, cautions("acid_catalysed"))
    assert_match(/no flame/, cautions("shellac", "pad"))
    assert_match(/extraction/, of_work("sand", dust: true))
  end

  def test_none_is_named_where_it_does_not
    refute_match(/catch fire/, cautions("waterborne_one_part", "brush"))
    refute_match(/isocyanate/, cautions("waterborne_one_part"))
    assert_empty of_work("look")
    assert_empty cautions("water_dye", "wipe", kind: "stain")
  end

  def test_work_that_is_dangerous_by_itself_says_so
    assert_match(/dichloromethane.*lead/m, of_work("strip", "stripper"))
    assert_match(/Heat tools/, of_work("strip", "warm_scraping"))
    refute_match(/Heat tools|Strippers/, of_work("strip", "scraping"))
    assert_match(/goggles and gloves/, of_work("clean", "oxalic_rinse"))
    assert_match(/below the centre/, of_work("polish"))
    assert_empty of_work("clean", "vacuum")
  end

  def test_rolled_two_part_reaches_skin_and_its_leftovers_heat_up
    assert_match(/Rolled and brushed/, cautions("solvent_two_part", "roller"))
    refute_match(/Rolled and brushed/, cautions("solvent_two_part", "spray"))
    assert_match(/leftovers heat up/, cautions("epoxy_clear", "brush"))
    assert_match(/methanol/, cautions("shellac", "pad"))
  end

  def test_dust_is_what_it_is_made_of
    into = ->(klass) { of_work("level", nil, dust: true, into: [ product(klass) ]) }
    assert_match(/frees isocyanate/, into.("solvent_two_part"))
    assert_match(/heats itself in a bag/, into.("oil_varnish"))
    assert_match(/burn fiercely/, into.("nitro_lacquer"))
    assert_equal of_work("level", nil, dust: true), into.("waterborne_one_part")
  end

  def test_lacquer_and_what_cures_are_not_sprayed_into_the_same_filters
    together = ->(klass, *others) { cautions(klass, "spray", booth: others.map { |one| product(one) }) }
    assert_match(/Filters/, together.("nitro_lacquer", "acid_catalysed"))
    assert_match(/Filters/, together.("oil_varnish", "nitro_lacquer"))
    refute_match(/Filters/, together.("nitro_lacquer", "nitro_lacquer", "waterborne_one_part"))
  end

  # Two-part film cures in 14 d: sanded on the next day its dust frees isocyanate, three weeks later no more.
  def test_a_pass_knows_what_it_rubs_into_and_what_is_sprayed_beside_it
    named = ->(*steps) {
      made = plan(piece(document(*steps)), products: PRODUCTS + [ { "id" => "pu", "class" => "solvent_two_part" } ])
      Rhexon::Picture::Sheet.new(made, "top").rows.to_h { |row| [ row.step, row.cautions.map(&:id) ] }
    }
    level = step("s2", "level", grits: [ "P320" ], aim: "between")
    laid = coat("s1", product: "pu")
    assert_includes named.(laid, level)["s2"], "isocyanate_dust"
    cured = named.(laid, step("s3", "wait", minutes: 21 * 1440), level)["s2"]
    assert_equal %w[dust], cured
    both = named.(coat("s1", product: "lacquer"), coat("s2", product: "catalysed"))
    assert_includes both["s1"], "booth_filters"
    assert_includes both["s2"], "booth_filters"
  end

  def test_dust_of_bare_wood_that_holds_silica_says_so
    named = ->(wood, *before) {
      steps = [ *before, step("s9", "sand", grits: [ "P120" ]) ]
      made = plan(piece(document(*steps)).merge("wood" => wood))
      Rhexon::Picture::Sheet.new(made, "top").rows.last.cautions.map(&:id)
    }
    assert_equal %w[silica dust], named.("teak")
    assert_equal %w[dust], named.("oak")
    refute_includes named.("teak", coat("s1", product: "varnish", method: "brush", wet_um: 85)), "silica"
  end

  def test_no_sentence_says_that_something_is_safe
    texts = Rhexon::Reference.cautions.cautions.map { |row| row["text"] }
    refute_match(/\bis safe\b|\bsafely\b|no danger/i, texts.join(" "))
  end
end
