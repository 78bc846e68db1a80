require "test_helper"

class AbrasiveTest < CoreTest
  def read(text) = Rhexon::Prep::Abrasive.read(text)

  def test_the_same_number_is_not_the_same_grain
    assert_equal [ 46.2, 36, 3 ], [ read("P320"), read("cami-320"), read("cushion 4000") ].map(&:mean_um)
    assert_equal "P1200", read("cami-600").counterpart.to_s
    assert_equal "cami-360", read("P500").counterpart.to_s
    assert_equal "P240", read("p 240").to_s
    assert_equal 36, Rhexon::Prep::Abrasive.read("320", bare: "cami").mean_um
  end

  # FEPA 43-1.
  def test_coarse_papers_are_on_the_scale
    assert_equal [ 764, 538, 425, 269 ], %w[P24 P36 P40 P60].map { |text| read(text).mean_um }
  end

  # 600 is 25.8 µm with its P and 16 without: it has to be asked.
  def test_a_number_without_its_scale_is_asked_for
    assert_match(/600 may be P600 \(25.8 µm\) or 600 grit \(16 µm\)/, refusal { read("600") }.message)
    assert_match(/4000 may be P4000 \(5 µm\) or cushioned 4000 \(3 µm\)/, refusal { read("4000") }.message)
  end

  def test_what_is_no_grit_is_refused
    assert_match(/P320, 320 grit or cushioned 4000/, refusal { read("fine") }.message)
    %w[P41 P333 P1800 P2400 P6000].each { |text| assert_match(/There is no #{text}/, refusal { read(text) }.message) }
    assert_match(/333 is on no scale/, refusal { read("333") }.message)
  end

  # A schedule takes only grits that exist; one that stands there from before is read as the nearest.
  def test_a_schedule_is_held_to_the_scales
    change = ->(grits) {
      Rhexon::Schedule::Edit.apply(
        document(step("s1", "sand", grits: [ "P180" ])),
        { "op" => "change_step", "id" => "s1", "set" => { "grits" => grits } }
      )["steps"][0]["grits"]
    }
    assert_equal %w[P240 cushion-4000], change.(%w[P240 cushion-4000])
    assert_match(/There is no P41/, refusal { change.([ "P41" ]) }.message)
    assert_match(/600 may be/, refusal { change.([ "600" ]) }.message)
    assert_equal %w[P40 P2000], %w[P41 P1900].map { |text| Rhexon::Prep::Abrasive.near(text).to_s }
  end
end
