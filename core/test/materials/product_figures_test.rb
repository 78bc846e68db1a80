require "test_helper"

class LinesTest < CoreTest
  Lines = Rhexon::Materials::ProductFigures
  RECORD = {
    "id" => "w20", "class" => "waterborne_two_part", "sheen_gu" => 28,
    "milestones_min" => { "touch" => 25, "recoat_closes" => nil }, "thinning_range_percent" => [ 0, 10 ],
    "efflux" => [ [ 0, 42 ], [ 5, 31.5 ] ], "packs" => [ { "ml" => 1000, "price" => 34.5 }, { "g" => 250 } ],
    "mix" => [ { "product" => "h12", "parts" => 10, "basis" => "volume", "of" => "base", "role" => "hardener",
                 "range" => [ 8, 12 ] } ],
    "mix_steps" => [ { "after" => "hardener", "do" => "Stir well", "min" => 2 }, { "do" => "Strain", "min" => 0 } ],
    "waxy" => true, "source" => "a sheet"
  }.freeze

  def lines(record = RECORD) = Lines.new(Rhexon::Materials::Product.new(record))
  def line(path, record = RECORD) = lines(record).groups.flat_map(&:lines).find { |found| found.path == path }

  def test_written_and_read_back_a_record_is_the_same
    assert_equal RECORD.except("id", "class"), Lines.read(lines.written)
  end

  def test_each_line_says_where_its_figure_comes_from
    assert_equal [ "28", "GU", "given", "a sheet" ],
                 line("sheen_gu").then { |found| [ found.value, found.unit, found.state, found.source ] }
    assert_equal [ "34", "default", "class default, an estimate" ],
                 line("solids_volume_percent").then { |found| [ found.value, found.state, found.source ] }
    assert_equal [ "", "missing", nil ], line("hazards").then { |found| [ found.value, found.state, found.source ] }
    assert_equal "none", line("milestones_min.recoat_closes").value
  end

  def test_gaps_are_named
    assert_equal %w[mix packs source], lines({ "id" => "a", "class" => "acid_catalysed" }).gaps.map(&:path).sort
    assert_empty lines.gaps
  end

  def test_an_empty_line_takes_a_figure_away_and_others_stay
    after = Lines.read({ "sheen_gu" => "", "milestones_min.touch" => "30" }, RECORD)
    refute after.key?("sheen_gu")
    assert_equal 30, after.dig("milestones_min", "touch")
    assert_equal RECORD["packs"], after["packs"]
  end

  def test_numbers_as_they_are_typed
    assert_equal 1.04, Lines.read({ "density_g_per_ml" => "1,04" })["density_g_per_ml"]
    assert_equal [ { "g" => 2267.96185, "price" => 149 } ], Lines.read({ "packs" => "5 lb 149" })["packs"]
  end

  # "Under waterborne 2 h, under solvent films 24 h", and the times of padding.
  def test_waits_by_what_goes_over_and_times_by_method
    read = Lines.read({
                        "waits_under_min" => "waterborne: 120, Oil varnish: 720; solvent: 1440",
                        "milestones_by_method_min" => "padded: recoat opens 2, sand 10; sprayed: touch 4"
                      })
    assert_equal({ "waterborne" => 120, "oil_varnish" => 720, "solvent" => 1440 }, read["waits_under_min"])
    assert_equal({ "pad" => { "recoat_opens" => 2, "sand" => 10 }, "spray" => { "touch" => 4 } },
                 read["milestones_by_method_min"])
    written = Lines.new(Rhexon::Materials::Product.read(RECORD.merge(read))).written
    assert_equal "waterborne: 120, oil varnish: 720, solvent: 1440", written["waits_under_min"]
    assert_equal read, Lines.read(written.slice("waits_under_min", "milestones_by_method_min"))
    assert_match(/Known are shellac, lacquer/, refusal { Lines.read({ "waits_under_min" => "paint: 20" }) }.message)
    assert_match(/a milestone and minutes/,
                 refusal { Lines.read({ "milestones_by_method_min" => "padded: soon 2" }) }.message)
    assert_match(/a method and its times/,
                 refusal { Lines.read({ "milestones_by_method_min" => "dipped: touch 2" }) }.message)
  end

  def test_a_comma_that_can_be_both_is_asked
    assert_match(/1.500 or 1500/, refusal { Lines.read({ "density_g_per_ml" => "1,500" }) }.message)
  end

  def test_what_is_not_understood_is_refused_with_the_line_and_what_is_accepted
    { "density_g_per_ml" => [ "0", /Density: "0".*more than 0, at most 5/ ],
      "sheen_gu" => [ "shiny", /a number GU, 0 or more/ ], "thinning_range_percent" => [ "much", /0 to 10/ ],
      "packs" => [ "a bucket", /packs with their price/ ],
      "mix" => [ "h12", /its parts/ ], "efflux" => [ "42", /pairs such as/ ], "waxy" => [
        "perhaps", /yes or no/
      ], "thinning_of" => [ "half", /base or total/ ] }.each do |path, (text, sentence)|
      error = refusal { Lines.read({ path => text }) }
      assert_equal path, error.where
      assert_match sentence, error.message
    end
  end
end
