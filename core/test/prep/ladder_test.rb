require "test_helper"

class LadderTest < CoreTest
  LADDER = Rhexon::Prep::Ladder

  def abrasives(*names) = names.map { |name| Rhexon::Prep::Abrasive.read(name) }
  def shelf
    abrasives("P320", "P400", "P600", "P800", "P1000", "P1200", "P2000", "P3000", "wool-0000", "compound-medium",
              "compound-fine")
  end

  def build(from_um, to, shelf: self.shelf, **options)
    LADDER.build(from_um: from_um, to: abrasives(to).first, shelf: shelf, **options)&.map(&:to_s)
  end

  # From a texture of 20 µm each rung at least half of the one before: 10.3, 6, then 5.2 and 2.6.
  def test_the_fewest_rungs_that_skip_nothing
    assert_equal %w[P2000 compound-medium compound-fine], build(20, "compound-fine")
    assert_equal %w[P1200], build(20, "P1200")
    assert_equal %w[P400 P800 P1200], build(60, "P1200", shelf: abrasives("P320", "P400", "P600", "P800", "P1200"))
    assert_nil build(200, "P1200", shelf: abrasives("P320", "P600"))
  end

  # Under stain at least 1 / 1.6 of the grain before: 125 to 78.1 leaves P150 (100) and P180 (82).
  def test_bare_wood_under_stain_is_sanded_in_shorter_steps
    papers = abrasives(*%w[P80 P100 P120 P150 P180 P220 P240])
    assert_equal %w[P180 P240], build(125, "P240", shelf: papers, stained: true)
    assert_equal %w[P220 P240], build(125, "P240", shelf: papers)
  end

  # Each family by itself: no cushioned sheet after a compound, no wool or pad before a paper, no compound on scratches
  # that are too deep for it.
  def test_a_ladder_keeps_to_its_family
    all = abrasives(*Rhexon::Reference.abrasives.usual, *Rhexon::Prep::Abrasive::RUBBING) +
      Rhexon::Prep::Abrasive.all("cushion")
    assert_equal %w[P400 P1000 P2000], build(60, "P2000", shelf: all)
    assert_equal %w[P1200 P2000 compound-medium compound-fine], build(30, "compound-fine", shelf: all)
    assert_equal %w[P1200 cushion-1500 cushion-2400 cushion-4000 cushion-6000], build(30, "cushion-6000", shelf: all)
    assert_equal %w[P1000 wool-0000], build(36, "wool-0000", shelf: all)
  end

  def test_what_is_written_is_judged
    assert_equal [ %w[P120 P320] ], LADDER.new(abrasives("P120", "P320")).skips.map { |pair| pair.map(&:to_s) }
    assert_empty LADDER.new(abrasives("P180", "P320")).skips
    refute_empty LADDER.new(abrasives("P120", "P220"), stained: true).skips
    assert_equal [ %w[P320 P360] ], LADDER.new(abrasives("P320", "P360", "P600")).close.map { |pair| pair.map(&:to_s) }
    assert_equal [ %w[P400 P320] ], LADDER.new(abrasives("P400", "P320")).back.map { |pair| pair.map(&:to_s) }
    assert_empty LADDER.new(abrasives("P1200", "compound-fine")).skips, "compounds break down"
  end

  # The coarsest that comes nearest to the sheen that is wanted.
  def test_the_last_rung_for_a_sheen
    last = ->(gu, film = 85) { LADDER.last_for(gu, shelf: shelf, film_gu: film).to_s }
    assert_equal %w[P2000 wool-0000 compound-fine P320], [ last.(40), last.(30), last.(90), last.(4) ]
    assert_equal "P3000", last.(60, 28), "a satin film comes to 43 at most, and P3000 gets there"
  end
end
