require "test_helper"

# Simulated shops: what forty logged coats teach, and whether the bands that are told hold what they say.
class SimulatedShopsTest < CoreTest
  Learning = Rhexon::Planning::Learning
  Belief = Rhexon::Drying::Belief
  Normal = Rhexon::Statistics::Normal
  SHOPS, COATS, LATER = 60, 40, 20

  # A shop looks every tenth of the reckoned time, from half of it on.
  def observed(factor, noise, random, count = COATS)
    Array.new(count) do |index|
      dry = Math.log(factor) + noise * Normal.draw(random)
      look = Math.log((Math.exp(dry) / 0.1).ceil * 0.1)
      before = Math.log([ Math.exp(look) - 0.1, 0.05 ].max)
      Learning::Observation.new(product: "w20", mechanism: "coalescing", phase: "early", from: before, to: look,
                                exact: false, at: index, after: 60)
    end
  end

  def taught(observations)
    _, beliefs, sd = Learning.of(observations)
    [ Belief.new(*beliefs.first.values_at("m", "s", "coats")), sd ]
  end

  def test_after_forty_coats_the_factor_is_within_five_of_a_hundred
    [ 0.8, 1.0, 1.3 ].each do |factor|
      off = Array.new(SHOPS) { |seed| Math.log(taught(observed(factor, 0.15, Random.new(seed))).first.factor / factor) }
      assert_in_delta 0, off.sum / SHOPS, 0.05, "factor #{factor}"
    end
  end

  # Of coats that come later, four of five dry between the tenth and the ninetieth of a hundred.
  def test_bands_hold_what_they_say_for_quiet_and_for_noisy_shops
    [ 0.10, 0.15, 0.20, 0.25, 0.30 ].each do |noise|
      inside = Array.new(SHOPS) do |seed|
        random = Random.new(100 + seed)
        belief, sd = taught(observed(1.2, noise, random))
        band = belief.factor(0.1, sd)..belief.factor(0.9, sd)
        Array.new(LATER) { Math.exp(Math.log(1.2) + noise * Normal.draw(random)) }.count { |dry| band.cover?(dry) }
      end
      held = inside.sum / (SHOPS * LATER).to_f
      assert_includes 0.75..0.85, held, "noise #{noise}"
    end
  end
end
