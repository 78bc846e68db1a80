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

  # Each figure of several parts, as rows and back.
  def test_rows_say_the_same_as_the_line
    given = lines(RECORD.merge("waits_under_min" => { "oil_varnish" => 720 },
                               "milestones_by_method_min" => { "pad" => { "recoat_opens" => 2, "sand" => 10 } })).groups
      .flat_map(&:lines).select(&:columns)
    assert_equal %w[mix mix_steps efflux thinning_range_percent waits_under_min milestones_by_method_min packs].sort,
                 given.select { |line| line.state == "given" }.map(&:path).sort
    given.each do |line|
      assert_equal Lines.read({ line.path => line.value }), Lines.read({ line.path => line.rows }), line.path
    end
    assert_equal [ [ "h12", "10", "volume", "base", "8", "12" ] ], line("mix").rows
    assert_equal [ [ "hardener", "Stir well", "2" ], [ "", "Strain", "" ] ], line("mix_steps").rows
    assert_equal [ [ "1000", "ml", "34.5" ], [ "250", "g", "" ] ], line("packs").rows
  end

  def test_rows_with_nothing_in_them_are_left_out_and_none_takes_the_figure_away
    assert_equal [ [ 0, 42 ] ], Lines.read({ "efflux" => [ [ "0", "42" ], [ "", " " ] ] })["efflux"]
    refute Lines.read({ "packs" => [ [ "", "ml", "" ] ] }, RECORD).key?("packs")
    assert_equal RECORD["mix"], Lines.read({ "packs" => [] }, RECORD)["mix"]
  end

  def test_a_row_that_is_not_whole_names_its_row_and_column
    said = refusal { Lines.read({ "mix" => [ [ "h12", "10", "volume", "base", "", "" ], [ "", "5", "volume" ] ] }) }
    assert_equal "Mixed with, row 2: component is missing. Accepted: a product of the shelf.", said.message
    assert_equal "mix", said.where
    assert_match(/row 1: reading "thin" is no number/, refusal { Lines.read({ "efflux" => [ %w[0 thin] ] }) }.message)
    open = refusal { Lines.read({ "mix_steps" => [ [ "hardener", "", "5" ] ] }) }
    assert_match(/row 1: what to do is missing/, open.message)
  end

  def test_a_range_of_parts_may_be_open_on_one_side
    read = ->(least, most) { Lines.read({ "mix" => [ [ "h12", "10", "mass", "total", least, most ] ] })["mix"].first }
    assert_equal [ 8, 10 ], read.call("8", "")["range"]
    assert_equal [ "mass", "total", nil ], read.call("", "").values_at("basis", "of", "range")
  end

  # 16 h are 960 min, 7 days 10 080, half a day 720.
  def test_times_as_sheets_give_them
    read = Lines.read({ "milestones_min.recoat_closes" => "16 h", "milestones_min.full_cure" => "7 days",
                        "pot_life_min" => "45", "waits_under_min" => [ [ "solvent", "0.5 d" ] ],
                        "milestones_by_method_min" => "padded: recoat opens 2 h" })
    assert_equal [ 960, 10_080 ], read["milestones_min"].values
    assert_equal [ 45, { "solvent" => 720 }, { "pad" => { "recoat_opens" => 120 } } ],
                 read.values_at("pot_life_min", "waits_under_min", "milestones_by_method_min")
    assert_match(/not understood/, refusal { Lines.read({ "pot_life_min" => "a while" }) }.message)
  end
end
