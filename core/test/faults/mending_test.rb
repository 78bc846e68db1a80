require_relative "../test_helper"

# Faults put the steps that mend them into the schedule; the plan takes them up.
class MendingTest < CoreTest
  COATS = [
    {
      "id" => "s1", "kind" => "coat", "product" => "w20", "method" => "spray", "wet_um" => 100, "coats" => 3,
      "role" => "build", "pins" => [ { "coat" => 1, "person" => "imke" } ]
    }
  ].freeze

  def mending(steps: COATS, pass: "top/s1/2/show", begun: [ "top/s1/1/show", "top/s1/2/show" ], products: shelf)
    document = { "format" => "rhexon-schedule/2", "steps" => steps }
    found = Rhexon::Faults::Mending.new(document, pass: pass, begun: begun, products: products)
    [ found, document ]
  end

  def shelf = PRODUCTS.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }

  def with_sealer
    shelf.merge("seal" => Rhexon::Materials::Product.read(
      { "id" => "seal", "name" => "dewaxed shellac", "class" => "shellac", "role" => "sealer" }
    ))
  end

  def mended(fault_id, id = nil, **options)
    found, document = mending(**options)
    fault = Rhexon::Faults::Fault.find(fault_id)
    Rhexon::Schedule::Edit.apply(document, found.operation(fault, fault.mending(id)))["steps"]
  end

  def test_runs_get_hard_for_the_sheets_time_to_sand_once_more_and_are_cut_flat_and_recoated_before_the_third_coat
    steps = mended("runs")
    assert_equal [ %w[s1 coat], %w[s3 wait], %w[s4 level], %w[s5 coat], %w[s2 coat] ],
                 steps.map { |step| step.values_at("id", "kind") }
    assert_equal [ 2, nil, nil, 1, 1 ], steps.map { |step| step["coats"] }
    assert_equal shelf["w20"].milestone("sand").value, steps[1]["minutes"]
    assert_equal [ %w[show] ] * 3, steps[1..3].map { |step| step["faces"] }
    assert_equal({ "pass" => "top/s1/2/show", "fault" => "runs" }, steps[2]["mends"])
    assert_nil steps[3]["pins"]
  end

  def test_dust_in_a_coat_that_another_follows_is_only_denibbed
    assert_equal %w[coat sand coat], mended("dust_nibs").map { |step| step["kind"] }
    assert_equal %w[coat sand coat],
                 mended("dust_nibs", pass: "top/s1/3/show", begun: [ "top/s1/3/show" ]).map { |step| step["kind"] }
  end

  def test_a_mending_comes_after_work_that_is_begun_already
    sanded = [
      *COATS, { "id" => "s2", "kind" => "sand", "grits" => %w[P320] },
      {
        "id" => "s3", "kind" => "coat", "product" => "w20", "method" => "spray", "wet_um" => 100, "coats" => 2,
        "role" => "top"
      }
    ]
    ids = mended("orange_peel", steps: sanded, pass: "top/s1/3/show",
                                begun: [ "top/s1/3/show", "top/s3/1/show" ]).map { |step| step["id"] }
    assert_equal %w[s1 s2 s3 s5 s6 s4], ids
  end

  def test_a_barrier_needs_a_sealer_on_the_shelf
    refused = refusal { mended("fish_eyes") }
    assert_match(/cannot be done with what is on the shelf/, refused.message)
    steps = mended("fish_eyes", products: with_sealer)
    assert_equal %w[coat look coat coat coat], steps.map { |step| step["kind"] }
    assert_equal [ "seal", "seal" ], steps[2].values_at("product", "role")
  end

  def test_stripping_builds_up_again_to_the_coat_at_fault
    stain = { "id" => "s0", "kind" => "stain", "product" => "russet", "method" => "wipe" }
    steps = mended("wrinkle", "strip", steps: [ stain, *COATS ])
    assert_equal %w[stain coat strip sand stain coat coat], steps.map { |step| step["kind"] }
    assert_equal 2, steps[5]["coats"]
    assert_equal [ "sanding", [ "P150" ] ], steps[2].values_at("way", "grits")
  end

  def test_blush_on_a_film_that_redissolves_takes_a_mist_coat
    lacquer, = mending(steps: [ COATS[0].merge("product" => "lacquer") ])
    assert_equal %w[mist recoat], lacquer.ways(Rhexon::Faults::Fault.find("blush")).map { |way| way["id"] }
    waterborne, = mending
    assert_equal %w[recoat], waterborne.ways(Rhexon::Faults::Fault.find("blush")).map { |way| way["id"] }
  end

  def test_only_what_was_laid_on_can_be_at_fault
    assert_match(/coat or a stain/,
                 refusal { mending(steps: [ { "id" => "s1", "kind" => "sand", "grits" => %w[P180] } ]) }.message)
    assert_match(/not known/, refusal { Rhexon::Faults::Fault.find("gremlins") }.message)
  end

  def test_a_fault_in_the_log_puts_its_steps_into_the_plan_once_and_later
    log = [ { "kind" => "done", "pass" => "top/s1/1/show", "at" => "2026-11-23T08:00+01:00" } ]
    runs = { "kind" => "fault", "pass" => "top/s1/1/show", "at" => "2026-11-23T08:30+01:00", "fault" => "runs" }
    sound = plan(piece(document(*COATS)), log: log, now: "2026-11-23T09:00+01:00")
    mended = plan(piece(document(*COATS)), log: log + [ runs ], now: "2026-11-23T09:00+01:00")
    assert_equal %w[s1 s3 s4 s5 s2 s2], mended.placements.map { |placement| placement.pass.step["id"] }
    assert_operator mended.build.ready["top"], :>, sound.build.ready["top"]
    assert_equal report(mended)["passes"],
                 report(plan(piece(mended.piece("top").schedule), log: log + [ runs ],
                                                           now: "2026-11-23T09:00+01:00"))["passes"]
    left = plan(piece(document(*COATS)), log: log + [ runs.merge("mending" => "leave") ], now: "2026-11-23T09:00+01:00")
    assert_equal sound.build.ready, left.build.ready
  end

  def test_every_way_to_mend_every_fault_leaves_a_sound_schedule
    Rhexon::Faults::Fault.all.each do |fault|
      found, document = mending(products: with_sealer)
      found.ways(fault).each do |way|
        after = Rhexon::Schedule::Edit.apply(document, found.operation(fault, way))
        assert_equal document["steps"].size,
                     Rhexon::Schedule::Edit.apply(after,
                                                  Rhexon::Faults::Mending.withdrawal(
                                                    after, "top/s1/2/show"
                                                  ))["steps"].size -
                       1,
                     fault.id
      end
    end
  end

  # A polish gone through is coated and polished again, with both papers; on clear work nobody asks to touch in a
  # colour.
  def test_a_polish_that_is_sanded_through_is_polished_again
    rubbed = [
      *COATS, { "id" => "s2", "kind" => "rub_out", "grits" => [ "P800" ] },
      { "id" => "s3", "kind" => "rub_out", "grits" => [ "P1200" ] }
    ]
    log = {
      steps: rubbed, pass: "top/s1/3/show", begun: [ "top/s1/3/show", "top/s2/1/show", "top/s3/1/show" ],
      products: with_sealer
    }
    ways = ->(steps) {
      mending(**log, steps: steps)
          .first
          .ways(Rhexon::Faults::Fault.find("sanded_through"))
          .map { |way| way["id"] }
    }
    assert_equal [ "recoat" ], ways.(rubbed)
    assert_equal [ "touch_in" ],
                 ways.([ { "id" => "s0", "kind" => "stain", "product" => "russet", "method" => "wipe" }, *rubbed ])
    steps = mended("sanded_through", "recoat", **log).drop(3)
    assert_equal %w[sand coat rub_out rub_out], steps.map { |step| step["kind"] }
    assert_equal [ [ "P800" ], [ "P1200" ] ], steps.last(2).map { |step| step["grits"] }
    half = mended("sanded_through", "recoat", **log, begun: [ "top/s1/3/show", "top/s2/1/show" ])
    assert_equal %w[coat rub_out sand coat rub_out rub_out], half.map { |step| step["kind"] },
                 "the paper that is still to come is not doubled"
  end

  # --- patches, and what comes again after a mending
  def lacquered(*more) = [ COATS.first.merge("product" => "lacquer", "coats" => 2).except("pins"), *more ]

  def test_lacquer_is_blended_in_a_spot_and_waterborne_is_not
    offered = ->(steps) {
      found, = mending(steps: steps, pass: "top/s1/2/show")
      found.ways(Rhexon::Faults::Fault.find("pinholes")).map { |way| way["id"] }
    }
    assert_equal %w[blend level], offered.(lacquered)
    assert_equal %w[level], offered.(COATS)
    patch = mended("pinholes", "blend", steps: lacquered, pass: "top/s1/2/show").last
    assert_equal [ "mend", "patch", "lacquer" ], patch.values_at("kind", "way", "product")
  end

  # Levelled before the rub-out and rubbed: both again, for the coat lays its texture over it. Levelled between coats
  # is not.
  def test_levelling_and_polish_after_the_last_coat_come_again
    between = { "id" => "s2", "kind" => "level", "grits" => %w[P320], "aim" => "between" }
    rest = [
      COATS.first.merge("id" => "s3", "coats" => 1), between.merge("id" => "s4"),
      { "id" => "s5", "kind" => "rub_out", "grits" => %w[P1000] },
      { "id" => "s6", "kind" => "polish", "grits" => %w[compound-fine] }
    ]
    begun = %w[s1/1 s1/2 s1/3 s2/1 s3/1 s4/1 s5/1 s6/1].map { |key| "top/#{key}/show" }
    steps = mended("runs", steps: [ *COATS, between, *rest ], pass: "top/s3/1/show", begun: begun)
    assert_equal %w[wait level coat level rub_out polish], steps.drop(6).map { |step| step["kind"] }
  end
end
