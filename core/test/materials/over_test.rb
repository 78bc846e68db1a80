require "test_helper"

# What the trade holds for true of pairs, written down by hand before the table was.
class OverTest < CoreTest
  Over = Rhexon::Materials::Over

  def of(klass, **more) = Rhexon::Materials::Product.new("id" => klass, "class" => klass, **more.transform_keys(&:to_s))

  def verdict(lower, upper, **state)
    lower, upper = [ lower, upper ].map { |one| one.is_a?(String) ? of(one) : one }
    Over.new(lower, upper, **state).answer.verdict
  end

  IN_THE_WINDOW = {
    %w[shellac shellac] => "holds", %w[shellac waterborne_two_part] => "holds", %w[shellac oil_varnish] => "holds",
    %w[shellac nitro_lacquer] => "holds", %w[nitro_lacquer nitro_lacquer] => "holds",
    %w[nitro_lacquer shellac] => "holds", %w[nitro_lacquer acid_catalysed] => "barrier",
    %w[nitro_lacquer solvent_two_part] => "barrier", %w[nitro_lacquer oil_varnish] => "scuff",
    %w[nitro_lacquer waterborne_one_part] => "scuff", %w[vinyl_sealer acid_catalysed] => "holds",
    %w[vinyl_sealer solvent_two_part] => "unknown", %w[oil_varnish nitro_lacquer] => "barrier",
    %w[oil_varnish wiping_varnish] => "holds", %w[oil_varnish waterborne_one_part] => "wait",
    %w[oil_varnish siccative_oil] => "never", %w[waterborne_one_part nitro_lacquer] => "barrier",
    %w[waterborne_primer waterborne_two_part] => "holds", %w[waterborne_one_part oil_varnish] => "scuff",
    %w[waterborne_one_part solvent_two_part] => "unknown", %w[solvent_two_part nitro_lacquer] => "scuff",
    %w[epoxy_clear oil_varnish] => "wait", %w[epoxy_clear nitro_lacquer] => "unknown",
    %w[siccative_oil oil_varnish] => "holds", %w[siccative_oil waterborne_one_part] => "barrier",
    %w[raw_oil oil_varnish] => "never", %w[raw_oil wax] => "holds", %w[hardwax_oil hardwax_oil] => "holds",
    %w[hardwax_oil waterborne_one_part] => "wait", %w[hardwax_oil water_dye] => "never",
    %w[hardwax_oil wax] => "holds", %w[water_dye shellac] => "holds",
    %w[pigment_oil_stain oil_varnish] => "holds", %w[pigment_oil_stain water_dye] => "never",
    %w[water_dye pigment_oil_stain] => "holds", %w[shellac water_dye] => "never",
    %w[shellac paste_filler_oil] => "holds", %w[paste_filler_oil waterborne_one_part] => "holds",
    %w[wax shellac] => "never", %w[wax wax] => "holds", %w[oil_varnish wax] => "wait"
  }.freeze

  def test_pairs_within_their_windows
    said = IN_THE_WINDOW.keys.to_h { |pair| [ pair, verdict(*pair) ] }
    assert_equal IN_THE_WINDOW, said
  end

  # Its own recoat of 180 min is for epoxy: what holds by scratches alone waits for the 960 min of dry to sand.
  def test_epoxy_is_hard_washed_and_scuffed_before_varnish
    ways = ->(**now) {
      Over.new(of("epoxy_clear"), of("oil_varnish"), **now).answer.way.map { |way|
        [ way.do, way.min ]
      }
    }
    hard = [ [ "wait", 960 ], [ "wipe", nil ], [ "scuff", nil ] ]
    assert_equal [ hard, hard, hard.drop(1) ], %w[fresh open cured].map { |state| ways.(state: state) }
    assert_empty ways.(state: "cured", sanded: true)
  end

  def test_a_film_whose_window_is_shut_is_scuffed_unless_it_melts_in
    assert_equal "scuff", verdict("oil_varnish", "oil_varnish", state: "cured")
    assert_equal "holds", verdict("oil_varnish", "oil_varnish", state: "cured", sanded: true)
    assert_equal "holds", verdict("shellac", "shellac", state: "cured")
    assert_equal "holds", verdict("oil_varnish", "nitro_lacquer", state: "cured", sanded: true)
  end

  def test_a_fresh_film_waits_for_its_pair
    answer = Over.new(of("water_dye"), of("shellac"), state: "fresh").answer
    assert_equal [ "wait", [ [ "wait", 600 ] ] ], [ answer.verdict, answer.way.map { |way| [ way.do, way.min ] } ]
    assert answer.estimate
  end

  def test_the_sheet_of_the_lower_one_has_the_last_word
    own = of("vinyl_sealer", name: "Own sealer", waits_under_min: { "two_part" => 90 })
    answer = Over.new(own, of("solvent_two_part"), state: "fresh").answer
    assert_equal [ "wait", 90, "its sheet", false ],
                 [ answer.verdict, answer.way.first.min, answer.source, answer.estimate ]
  end

  def test_wax_and_oil_on_it_come_off_before_anything_holds
    answer = Over.new(of("oil_varnish"), of("oil_varnish"), state: "cured", residue: "wax").answer
    assert_equal [ "wait", %w[wipe scuff] ], [ answer.verdict, answer.way.map(&:do) ]
    assert_match(/Wax on it/, answer.why)
    assert_equal "holds", verdict("oil_varnish", "wax", state: "cured", residue: "wax")
    assert_equal "never", verdict("raw_oil", "oil_varnish", residue: "oil")
  end

  def test_shellac_with_its_wax_and_an_old_finish
    assert_equal "barrier", verdict(of("shellac", waxy: true), "waterborne_one_part")
    assert_equal "holds", verdict(of("shellac", waxy: true), "shellac")
    assert_equal "never", verdict(of("shellac", waxy: true), "water_dye"), "no seal lets it into the wood"
    assert_equal "barrier", verdict(nil, "nitro_lacquer")
    assert_equal "scuff", verdict(nil, "oil_varnish")
    assert_equal "holds", verdict(nil, "oil_varnish", sanded: true)
  end

  # The stops of the checks and this table are one rule: what a check stops is never said to hold straight.
  def test_what_the_checks_refuse_is_never_said_to_hold
    classes = Rhexon::Reference.classes.classes.keys - Rhexon::Materials::Product::HELPERS
    classes.product(classes - %w[wax]).each do |lower, upper|
      row = Rhexon::Materials::Pairs.refused(of(lower), of(upper)) or next
      assert_includes %w[barrier never wait], verdict(lower, upper), "#{lower} under #{upper}: #{row}"
    end
  end

  def test_every_pair_in_every_state_has_an_answer
    classes = Rhexon::Reference.classes.classes.keys - Rhexon::Materials::Product::HELPERS
    states = Over::STATES.product([ true, false ], Over::RESIDUES)
    (classes + [ nil ]).product(classes, states).each do |lower, upper, (state, sanded, residue)|
      answer = Over.new(lower && of(lower), of(upper), state: state, sanded: sanded, residue: residue).answer
      assert_includes %w[holds scuff wait barrier never unknown], answer.verdict
      refute_empty answer.why
      refute_empty answer.way, "#{lower} #{upper} #{state}" unless %w[holds never].include?(answer.verdict)
    end
  end

  def test_the_square_has_every_kind_that_is_laid_on
    square = Over.square(state: "open", sanded: false, residue: "none")
    kinds = Rhexon::Reference.classes.classes.keys - Rhexon::Materials::Product::HELPERS
    assert_equal [ kinds.sort ] * (kinds.size + 1), [ square.keys, *square.values.map(&:keys) ].map(&:sort)
    assert_equal "barrier", square["nitro_lacquer"]["acid_catalysed"]
  end

  def test_what_is_no_state_is_refused
    assert_raises(Rhexon::InvalidInput) { Over.new(of("shellac"), of("shellac"), state: "wet") }
    assert_raises(Rhexon::InvalidInput) { Over.new(of("shellac"), of("shellac"), residue: "soap") }
  end
end
