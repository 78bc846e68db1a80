require "test_helper"

# Until it looks right: rounds as planned, one more for each "again", none after a "yes".
class LoopsTest < CoreTest
  FILLER = { "id" => "filler", "name" => "Clear filler", "class" => "waterborne_filler",
"role" => "pore filler" }.freeze

  def steps(rounds: 1, most: 4)
    [ step("s1", "fill", product: "filler", method: "wipe"), step("s2", "sand", grits: [ "P220" ]),
      step("s3", "look", asks: "Pores closed?", again: { "steps" => %w[s1 s2], "rounds" => rounds, "most" => most }),
      coat("s4") ]
  end

  def planned(*log, **loop)
    plan(piece(document(*steps(**loop)), wood: "open"), products: [ *PRODUCTS, FILLER ], log: log,
                                                         now: "2026-11-24T12:00+01:00")
  end

  def keys(plan) = plan.of_piece("top").map { |placement| placement.pass.key.split("/")[1, 2].join("/") }

  def said(pass, answer, at)
    kind = answer == "not_yet" ? "dry_test" : "done"
    { "kind" => kind, "pass" => "top/#{pass}/show", "answer" => answer, "at" => at }
  end

  def done(pass, at) = { "kind" => "done", "pass" => "top/#{pass}/show", "at" => at }

  FIRST = %w[s1/1 s2/1 s3/1].freeze

  def test_planned_rounds_are_passes_of_their_own
    assert_equal [ *FIRST, "s4/1" ], keys(planned(rounds: 0))
    plan = planned(rounds: 2)
    assert_equal [ *FIRST, *%w[s1/2 s2/2 s3/2 s1/3 s2/3 s3/3 s4/1] ], keys(plan)
    rows = Rhexon::Picture::Sheet.new(plan, "top").rows.map(&:label)
    assert_equal [ "Fill, Clear filler", "Fill, Clear filler, round 2", "Look: Pores closed?, round 3" ],
                 rows.values_at(0, 3, 8)
    # Three looks: two rounds between the first and the last; 4 at most, so two rounds more.
    looks = plan.of_piece("top").select { |placement| placement.pass.kind == "look" }
    each = (looks.last.hands_end - looks.first.hands_end) / 2
    round = Rhexon::Picture::Sheet.new(plan, "top").rows[2].round
    assert_equal [ each, plan.build.ready["top"] + 2 * each ], [ round.minutes, round.ready_at ]
    assert_equal [ 2, looks.last.hands_end + 2 * each ], [ round.more, round.until ]
    # Where none is planned a round is as long as the first time took, and all four may come.
    once = Rhexon::Picture::Sheet.new(planned(rounds: 0), "top").rows
    assert_equal [ once[2].hands_end - once[0].hands_start, 4 ], [ once[2].round.minutes, once[2].round.more ]
    assert_nil once[0].round
    # 1 - (1 - 0.7225)^3 of 200 µm
    assert_in_delta 200 * (1 - 0.2775**3), plan.film("top", "show").course[-2].after.pores_um, 1e-6
  end

  def test_again_puts_one_more_round_in_and_yes_drops_the_rest
    log = [ done("s1/1", "2026-11-24T08:00+01:00"), done("s2/1", "2026-11-24T10:30+01:00") ]
    again = planned(*log, said("s3/1", "again", "2026-11-24T11:00+01:00"), rounds: 0)
    assert_equal [ *FIRST, *%w[s1/2 s2/2 s3/2 s4/1] ], keys(again)
    assert_equal "done", placement(again, "s3/1").status
    yes = planned(*log, said("s3/1", "yes", "2026-11-24T11:00+01:00"), rounds: 3)
    assert_equal [ *FIRST, "s4/1" ], keys(yes)
    later = planned(*log, said("s3/1", "not_yet", "2026-11-24T11:00+01:00"), rounds: 1)
    assert_equal "planned", placement(later, "s3/1").status
    assert_operator placement(later, "s3/1").work_start, :>=, at("2026-11-24T12:00+01:00")
  end

  def test_the_second_again_goes_beyond_what_was_planned_as_the_most
    log = [
      done("s1/1", "2026-11-23T08:00+01:00"), done("s2/1", "2026-11-23T10:30+01:00"),
      said("s3/1", "again", "2026-11-23T11:00+01:00"), done("s1/2", "2026-11-23T12:00+01:00"),
      done("s2/2", "2026-11-23T15:00+01:00"), said("s3/2", "again", "2026-11-23T15:30+01:00")
    ]
    assert_equal [ *FIRST, *%w[s1/2 s2/2 s3/2 s1/3 s2/3 s3/3 s4/1] ], keys(planned(*log, rounds: 0, most: 1))
  end

  def test_a_loop_names_steps_before_its_look_once
    check = ->(*steps) { Rhexon::Schedule::Document.check!(document(*steps)) }
    loop = ->(id, *named, rounds: 1, most: 2) {
      step(id, "look", again: { "steps" => named, "rounds" => rounds, "most" => most })
    }
    sand = step("s1", "sand", grits: [ "P150" ])
    assert_match(/only steps before it round again, and not s3\. Accepted: s1/,
                 refusal { check.(sand, loop.("s2", "s3"), step("s3", "raise_grain")) }.message)
    assert_match(/3 rounds are more than the most. Accepted: at most 2/,
                 refusal { check.(sand, loop.("s2", "s1", rounds: 3)) }.message)
    assert_match(/sent round again by two looks/, refusal {
      check.(sand, loop.("s2", "s1"), loop.("s3", "s1"))
    }.message)
    gone = Rhexon::Schedule::Edit.apply(check.(sand, loop.("s2", "s1")), { "op" => "remove_step", "id" => "s1" })
    assert_nil gone["steps"][0]["again"], "a loop without steps is none"
  end

  def test_a_pass_of_a_later_round_can_be_pinned
    document = document(*steps(rounds: 1))
    pinned = Rhexon::Schedule::Edit.apply(
      document, { "op" => "pin", "id" => "s1", "coat" => 2, "start" => "2026-11-26T10:00+01:00" }
    )
    made = plan(piece(pinned, wood: "open"), products: [ *PRODUCTS, FILLER ], now: "2026-11-24T12:00+01:00")
    assert_equal at("2026-11-26T10:00+01:00"), placement(made, "s1/2").hands_start
  end
end
