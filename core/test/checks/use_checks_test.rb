require "test_helper"

# use.*: what lies on top against what the piece is used for.
class UseChecksTest < CoreTest
  SHELF = [
    { "id" => "paint", "name" => "Green paint", "class" => "waterborne_one_part", "colour" => "pigmented" },
    { "id" => "polyurethane", "name" => "Two-part clear", "class" => "solvent_two_part" },
    { "id" => "epoxy", "name" => "Clear epoxy", "class" => "epoxy_clear" },
    { "id" => "wiping", "name" => "Wiping varnish", "class" => "wiping_varnish" },
    { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" },
    { "id" => "hardwax", "name" => "Hardwax oil", "class" => "hardwax_oil" },
    { "id" => "wax", "name" => "Pale wax", "class" => "wax" }
  ].freeze
  ID = "use.wrong_film".freeze

  def made(use, *names)
    steps = names.each_with_index.map { |name, at| laid(name, "s#{at + 1}") }
    plan(piece(document(*steps), use: use), products: PRODUCTS + SHELF)
  end

  def laid(name, id)
    return step(id, "wax", product: "wax", method: "wipe") if name == "wax"

    product = Rhexon::Materials::Product.new((PRODUCTS + SHELF).find { |one| one["id"] == name })
    return step(id, "oil", product: name, method: "wipe", coats: 2) if name == "oil"

    method = product.methods_known.include?("brush") ? "brush" : product.methods_known.first
    coat(id, product: name, method: method, wet_um: product.wet_um(method).value, coats: 2)
  end

  # shellac 2, 1, 2 against a bar top's 4 for water, 4 for alcohol, 3 for wear
  def test_what_is_lacking_is_told_by_measure
    shellac = Rhexon::Materials::Product.new("id" => "s", "class" => "shellac")
    assert_equal({ "water" => 2, "alcohol" => 3, "wear" => 1 },
                 Rhexon::Materials::Resistance.lacking("bar_top", shellac))
    assert_empty Rhexon::Materials::Resistance.lacking("furniture", shellac)
    assert_empty Rhexon::Materials::Resistance.lacking(nil, shellac)
  end

  # What a hand lays on such things every year.
  def test_what_is_usual_for_a_use_is_silent
    usual = { "show" => %w[seal lacquer oil], "furniture" => %w[seal lacquer oil wiping w20],
              "table_top" => %w[varnish lacquer w20 polyurethane catalysed oil hardwax wiping],
              "bar_top" => %w[varnish w20 polyurethane catalysed], "floor" => %w[varnish w20 polyurethane hardwax],
              "marine" => %w[varnish polyurethane], nil => %w[seal] }
    usual.each do |use, tops|
      tops.each { |top| assert_empty levels(made(use, top), ID), "#{top} for #{use.inspect}" }
    end
    assert_empty levels(made("marine", "epoxy", "varnish"), ID), "epoxy is what lies below"
    assert_empty levels(made("bar_top", "varnish", "wax"), ID), "the film below bears it"
  end

  def test_what_wants_care_is_a_note
    care = { "table_top" => %w[seal wax], "bar_top" => %w[hardwax wiping], "floor" => %w[oil seal],
             "marine" => %w[oil catalysed] }
    care.each { |use, tops| tops.each { |top| assert_equal %w[note], levels(made(use, top), ID), "#{top} for #{use}" } }
    assert_empty levels(made("marine", "paint"), ID)
  end

  def test_what_is_soon_spoilt_is_a_caution_that_another_top_mends
    { "bar_top" => %w[seal lacquer oil], "marine" => %w[seal lacquer epoxy] }.each do |use, tops|
      tops.each { |top| assert_equal %w[caution], levels(made(use, top), ID), "#{top} for #{use}" }
    end
    bad = made("bar_top", "seal")
    finding = findings(bad, ID).first
    assert_match(/Dewaxed shellac on a bar top is soon spoilt by spilt drink, water that stands on it and wear/,
                 finding.sentence)
    assert_equal [ "Use Bar varnish on top", "Use Clear epoxy on top" ], finding.remedies.map(&:label)
    finding.remedies.each_index do |index|
      mended = remedied(bad, ID, index)
      assert_equal [ nil, nil ], document_of(mended)["steps"].first.values_at("thinning", "hardener_parts")
      assert_empty findings(mended, ID)
      assert_empty(Rhexon::Checks::Catalogue.findings(mended, "top").select { |one| one.level == "stop" })
    end
  end

  # Two-part over lacquer is refused, varnish over it holds once scuffed.
  def test_what_does_not_hold_on_what_is_below_is_not_offered
    labels = findings(made("bar_top", "lacquer", "seal"), ID).first.remedies.map(&:label)
    refute_includes labels, "Use Two-part clear on top"
  end
end
