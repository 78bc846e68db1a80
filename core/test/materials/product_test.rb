require "test_helper"

class ProductTest < CoreTest
  def product(**record) = Rhexon::Materials::Product.new({ "id" => "p" }.merge(record.transform_keys(&:to_s)))

  def test_a_missing_figure_is_the_class_default_and_says_that_it_is_an_estimate
    figure = product(class: "oil_varnish").milestone("sand")
    assert_equal 1200, figure.value
    assert figure.estimate
  end

  def test_its_own_sheet_wins_and_carries_its_source
    figure = product(class: "oil_varnish", milestones_min: { "sand" => 900 },
                     source: "Marram sheet, 2026-02").milestone("sand")
    assert_equal [ 900, "Marram sheet, 2026-02", false ], figure.to_a
  end

  def test_a_sheet_may_state_that_a_film_never_closes
    assert_nil product(class: "waterborne_one_part", milestones_min: { "recoat_closes" => nil })
      .milestone("recoat_closes").value
    assert_nil product(class: "shellac").milestone("recoat_closes").value
  end

  def test_dust_safe_is_half_of_touch
    assert_in_delta 12.5, product(class: "waterborne_two_part").milestone("dust_safe").value, 1e-9
  end

  def test_a_product_that_names_only_how_it_hardens_gets_a_class
    assert_equal "waterborne_two_part", product(mechanism: "reactive", carrier: "water").class_id
    assert_equal "shellac", product(mechanism: "evaporative", carrier: "alcohol").class_id
  end

  def test_an_unknown_class_is_refused_with_the_known_ones
    error = refusal { product(class: "magic") }
    assert_equal "products/p/class", error.where
    assert_includes error.accepted, "oil_varnish"
  end

  # Water dye: 3 h under waterborne, 10 h under shellac; oil stain 12 h under varnish, 24 h under shellac, 60 h under
  # waterborne.
  def test_the_wait_belongs_to_the_pair
    products = {
      dye: product(class: "water_dye"), stain: product(class: "pigment_oil_stain"),
      water: product(class: "waterborne_one_part"), shellac: product(class: "shellac"),
      varnish: product(class: "oil_varnish"), pu: product(class: "solvent_two_part")
    }
    waits = {
      %i[dye water] => 180, %i[dye shellac] => 600, %i[stain varnish] => 720, %i[stain shellac] => 1440,
      %i[stain water] => 3600, %i[shellac pu] => 1440, %i[shellac water] => nil
    }
    waits.each do |(lower, upper), minutes|
      found = Rhexon::Materials::Pairs.wait(products[lower], products[upper])&.value
      minutes.nil? ? assert_nil(found) : assert_equal(minutes, found, "#{lower} under #{upper}")
    end
  end

  # By code, by class, and in the words of a sheet; the narrowest that fits counts, and may be shorter than the usual
  # one.
  def test_a_pair_wait_on_the_sheet_wins
    stain = product(class: "pigment_oil_stain",
                    waits_under_min: { "waterborne" => 120, "solvent" => 1440, "w20" => 90 })
    wait = ->(**upper) { Rhexon::Materials::Pairs.wait(stain, product(**upper))&.value }
    assert_equal [ 90, 120, 1440, 1440 ],
                 [
                   wait.(id: "w20", class: "waterborne_two_part"), wait.(class: "waterborne_one_part"),
                   wait.(class: "nitro_lacquer"), wait.(class: "oil_varnish")
                 ]
    refute Rhexon::Materials::Pairs.wait(stain, product(class: "nitro_lacquer")).estimate
  end

  def test_the_usual_wait_fills_a_gap_and_does_not_override_the_recoat_of_a_sheet
    water = product(class: "waterborne_one_part")
    assert_equal 3600, Rhexon::Materials::Pairs.wait(product(class: "pigment_oil_stain"), water).value
    assert_nil Rhexon::Materials::Pairs.wait(
      product(class: "pigment_oil_stain", milestones_min: { "recoat_opens" => 120 }), water
    )
  end

  def test_every_class_is_complete_enough_to_be_planned
    Rhexon::Reference.classes.classes.each_key do |id|
      record = product(class: id)
      next assert(record.density_g_per_ml.value.positive?, id) if record.helper?

      assert record.milestone("touch").value.positive?, id
      assert record.milestone("handle").value >= record.milestone("touch").value, id
      assert record.solids_volume_percent.value.positive?, id if record.film?
      assert record.methods_known.any?, id if record.film?
    end
  end
end
