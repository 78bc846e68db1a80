require "test_helper"

class SheenTest < CoreTest
  SHEEN = Rhexon::Prep::Sheen

  def after(name, before: 20, film: 85)
    SHEEN.after(Rhexon::Prep::Abrasive.read(name), before_gu: before, film_gu: film)
  end

  # The table of rubout: P400 6, P1200 20, P2000 42, P3000 58, cushion 4000 70, fine compound 85, glaze 3 more.
  def test_sheen_by_the_last_abrasive
    {
      "P400" => 6, "P600" => 10, "P1000" => 16, "P1200" => 20, "P1500" => 30, "P2000" => 42, "P3000" => 58,
      "cushion-4000" => 70, "cushion-8000" => 88, "wool-0000" => 25, "pumice" => 30, "rottenstone" => 60,
      "compound-medium" => 75, "compound-fine" => 85
    }.each { |name, gu| assert_in_delta gu, after(name).gu, 1e-9, name }
    assert_in_delta 88, after("finishing-glaze", before: 85).gu
    # Between P1200 (15.3 µm, 20) and P1500 (12.6 µm, 30): 16 µm lies between P1000 and P1200.
    assert_in_delta 16 + 4 * Math.log(18.3 / 16) / Math.log(18.3 / 15.3), after("cami-600").gu
    assert_in_delta 6 * 35 / 46.2, after("P320").gu
  end

  # A satin film of 28 GU: 43 at the most, hazy from 33 on; a gloss one 95.
  def test_a_flatted_film_is_not_rubbed_far_above_its_sheen
    assert_equal [ 42.0, false, true ], after("P2000", film: 28).to_h.values_at(:gu, :capped, :hazy)
    assert_equal [ 43.0, true, true ], after("compound-fine", film: 28).to_h.values_at(:gu, :capped, :hazy)
    assert_equal [ 30.0, false ], after("P1500", film: 28).to_h.values_at(:gu, :hazy)
    assert_equal [ 95, 43 ], [ SHEEN.cap_gu(82), SHEEN.cap_gu(28) ]
  end

  # P1000 60, P1500 78, P2000 88, P3000 94 under a compound, whichever follows; as laid nothing holds it back.
  def test_a_compound_is_capped_by_the_scratch_before_it
    compounds = %w[compound-medium compound-fine].map { |name| Rhexon::Prep::Abrasive.read(name) }
    ends = ->(*papers) {
      rungs = papers.map { |name| Rhexon::Prep::Abrasive.read(name) } + compounds
      SHEEN.rubbed(rungs, before_gu: 85, film_gu: 85).last.gu
    }
    assert_equal [ 60, 78, 85, 85 ], %w[P1000 P1500 P2000 P3000].map { |paper| ends.(paper) }
    assert_equal 85, ends.()
    assert_in_delta 88, SHEEN.compound_cap(10.3), 1e-9
    assert_in_delta 94, SHEEN.compound_cap(6), 1e-9
  end

  def test_names_of_sheens
    assert_equal [ "dead flat", "flat", "satin", "satin", "semi-gloss", "gloss", "high gloss" ],
                 [ 4, 5, 20, 34, 35, 70, 85 ].map { |gu| SHEEN.name(gu) }
  end
end
