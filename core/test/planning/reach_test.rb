require "test_helper"

# What is under tape or shut, faces that are laid on more than once, and tape that comes off again.
class ReachTest < CoreTest
  FACES = [
    { "id" => "front", "area_m2" => 1.0 }, { "id" => "back", "area_m2" => 1.0, "kind" => "back" },
    { "id" => "edges", "area_m2" => 0.2, "kind" => "edges" }
  ].freeze

  def planned(*steps, **fields)
    record = piece(document(*steps, support: "points"), **fields)
    record["faces"] = FACES
    plan(record)
  end

  def keys(plan) = plan.of_piece("top").map { |placement| placement.pass.key.delete_prefix("top/") }

  # Front, back, front again: the front gets two coats of the one.
  def test_a_face_may_be_laid_on_twice_in_one_coat
    plan = planned(coat("s1", faces: %w[front back front edges]))
    assert_equal %w[s1/1/front+edges s1/1/back s1/2/front], keys(plan)
    assert_in_delta 18.7 + 30.6, plan.film("top", "front").final.total_um, 1e-6
    assert_in_delta 18.7, plan.film("top", "back").final.total_um, 1e-6
    assert_equal [ "Front and edges: coat 1 of 2", "Back: top coat, W20 clear satin", "Front: coat 2 of 2" ],
                 Rhexon::Picture::Sheet.new(plan, "top").rows.map(&:label)
    twice = planned(coat("s1", coats: 2, faces: %w[front back front]))
    assert_equal %w[s1/1/front s1/1/back s1/2/front s1/3/front s1/2/back s1/4/front], keys(twice)
  end

  # A top and its legs are loose parts: one after the other at once. Two faces of one panel wait until it is turned.
  def test_loose_parts_are_coated_in_turn
    gap = ->(other, **kind) {
      record = piece(document(coat("s1", product: "varnish", method: "brush", wet_um: 85)), id: "top")
      record["faces"] = [ { "id" => "top", "area_m2" => 1.0 }, { "id" => other, "area_m2" => 0.6, **kind } ]
      first, second = plan(record).of_piece("top").select { |one| one.pass.kind == "coat" }
      second.work_start - first.work_end
    }
    assert_operator gap.("legs"), :<, 60
    assert_operator gap.("back", "kind" => "back"), :>=, 1440, "varnish is handled after a day"
    assert_operator gap.("underside"), :>=, 1440, "by its name"
  end

  def test_hung_work_is_done_all_round_and_then_what_is_listed_again
    record = piece(document(coat("s1", faces: %w[front back front], support: "hung")))
    record["faces"] = FACES
    assert_equal %w[s1/1/front+back s1/2/front], keys(plan(record))
  end

  # 20 min of touch at the sheet's climate: the tape comes off from then on.
  def test_masked_edges_catch_nothing_and_the_tape_comes_off_after_the_last_coat
    mask = step("s1", "mask", faces: [ "edges" ], length_m: 4)
    plan = planned(mask, coat("s2", faces: %w[front back], coats: 1))
    assert_equal %w[s1/1/edges s2/1/front s2/1/back s1/1/front+back/unmask], keys(plan)
    assert_equal 0, plan.film("top", "edges").final.total_um
    tape = plan.of_piece("top").last
    assert_equal [ true, 2 ], [ tape.pass.inserted, tape.pass.each_min ], "half a minute a metre"
    touch = plan.drier.reached_at(placement(plan, "s2/1/back") || plan.of_piece("top")[2], "touch")
    assert_operator tape.work_start, :>=, touch
    assert_equal "Take the tape off", Rhexon::Picture::Sheet.new(plan, "top").rows.last.label
    own = planned(mask, coat("s2", faces: %w[front back]), step("s3", "unmask"))
    assert_equal %w[s1/1/edges s2/1/front s2/1/back], keys(own).first(3)
    assert_equal 4, keys(own).size, "the schedule takes it off by itself"
  end

  # Brushed varnish bridges tape: off once a coat is touch dry, on again right before the next, not days ahead.
  def test_tape_comes_off_after_each_coat_of_brushed_varnish
    varnish = ->(pull, **with) {
      planned(step("s1", "mask", faces: [ "edges" ], length_m: 8, **(pull ? { pull: pull } : {})),
              coat("s2", product: "varnish", method: "brush", faces: %w[front], **{ coats: 4, **with }))
    }
    each = varnish.(nil)
    tape = ->(plan) { plan.of_piece("top").map { |one| one.pass.kind }.reject { |kind| kind == "scuff" } }
    assert_equal [ "mask", *%w[coat unmask remask] * 3, "coat", "unmask" ], tape.(each)
    assert_empty findings(each, "mask.too_long")
    coats, off, on = %w[coat unmask remask].map { |kind|
      each.of_piece("top").select { |one| one.pass.kind == kind }
    }
    assert_equal [ 4, 8 ], [ off.first.pass.each_min, on.first.pass.each_min ], "half a minute and a minute a metre"
    assert_operator off.first.work_start, :>=, each.drier.reached_at(coats.first, "touch")
    assert_operator coats[1].hands_start - on.first.hands_end, :<, 60
    last = varnish.("last_coat")
    assert_equal %w[mask coat coat coat coat unmask], tape.(last)
    told = findings(last, "mask.too_long").first
    assert_equal [ "caution", { films: 4 } ], [ told.level, told.figures ]
    assert_equal({ "op" => "change_step", "id" => "s1", "set" => { "pull" => "each_coat" } },
                 told.remedies.first.operation)
    two = varnish.("last_coat", coats: 2)
    assert_empty findings(two, "mask.too_long"), "two films within three days part clean"
  end

  # What was laid before the plan took tape off by itself shows that nobody did.
  def test_coats_that_are_laid_are_not_taped_after_the_fact
    record = piece(document(step("s1", "mask", faces: [ "edges" ], pull: "each_coat"),
                            coat("s2", coats: 3, faces: %w[front]), support: "points"))
    record["faces"] = FACES
    done = %w[s1/1/edges s2/1/front s2/2/front].each_with_index.flat_map do |key, day|
      { "started" => "08:00", "done" => "08:30" }.map { |kind, time|
        { "kind" => kind, "pass" => "top/#{key}", "at" => "2026-11-#{16 + day}T#{time}+01:00" }
      }
    end
    kinds = plan(record, log: done).of_piece("top").map { |one| one.pass.kind }
    assert_equal %w[mask coat coat unmask remask scuff coat unmask], kinds
  end

  def test_a_step_that_names_no_faces_leaves_the_masked_ones_out
    plan = planned(step("s1", "mask", faces: [ "back" ]), coat("s2"))
    assert_equal %w[front edges], plan.of_piece("top")[1].pass.faces
  end

  def test_what_is_masked_or_shut_cannot_be_laid_on
    assert_match(/Step s2 is for back, which is masked by then/,
                 refusal { planned(step("s1", "mask", faces: [ "back" ]), coat("s2", faces: %w[front back])) }.message)
    assert_match(/Step s3 is for back, which is shut since step s2/,
                 refusal {
                   planned(coat("s1"), step("s2", "fit", closes: [ "back" ]), coat("s3", faces: [ "back" ]))
                 }.message)
    assert_match(/Step s1 names front twice/, refusal {
      planned(step("s1", "raise_grain", faces: %w[front front]))
    }.message)
    assert_match(/names a face that is not there: side/, refusal {
      planned(step("s1", "fit", closes: [ "side" ]))
    }.message)
  end

  # Pinned to the next day the film is hard.
  def test_tape_that_stays_too_long_tears
    mask = step("s1", "mask", faces: [ "edges" ])
    assert_empty findings(planned(mask, coat("s2", faces: [ "front" ])), "mask.tears")
    late = planned(mask, coat("s2", faces: [ "front" ]), step("s3", "wait", minutes: 1500), step("s4", "unmask"))
    assert_match(/would have come off clean until/, findings(late, "mask.tears").first.sentence)
  end
end
