require "test_helper"

# What was done beside what was reckoned.
class DoneTest < CoreTest
  # Sanded with 6 min reckoned and 15 taken; then a coat of 100 µm wet that leaves its solids.
  def lines(log, now: "2026-11-23T12:00+01:00", **fields)
    steps = [ step("s1", "sand", grits: [ "P180" ]), coat("s2", coats: 2) ]
    made = plan(piece(document(*steps)), log: log, now: now, **fields)
    Rhexon::Compare::Done.new(made, "top").lines
  end

  def entries(*rows)
    rows.map do |kind, pass, at, person|
      { "kind" => kind, "pass" => "top/#{pass}/show", "person" => person, "at" => "2026-11-23T#{at}+01:00" }.compact
    end
  end

  SANDED = [ [ "started", "s1/1", "07:30", "imke" ], [ "done", "s1/1", "07:45" ] ].freeze
  COATED = [ [ "started", "s2/1", "08:00", "imke" ], [ "done", "s2/1", "08:30" ] ].freeze

  def test_hands_film_air_and_amount_of_what_is_done
    sanded, coated = lines(entries(*SANDED, *COATED), t_c: 18, rh: 61)
    assert_equal [ "Sand P180", "imke", 15, 25 ],
                 [ sanded.words, sanded.person, sanded.hands_min, sanded.reckoned_min.round ]
    assert_nil sanded.g
    assert_equal [ 18, 61 ], [ coated.air.t_c, coated.air.rh ]
    assert_equal "w20", coated.product
    # 1 m² of 100 µm at 70 % and 60 ml in gun and cup, 10 % over: 223 ml.
    clear = Rhexon::Materials::Product.new("id" => "w", "class" => "waterborne_two_part")
    assert_in_delta 223 * clear.density_g_per_ml.value, coated.g, 2
    assert_operator coated.film_um, :<, 33, "wood drinks of the first coat"
  end

  # Film of all that was done is the film that lies there.
  def test_film_adds_up_to_what_lies_there
    second = [ [ "started", "s2/2", "11:00", "imke" ], [ "done", "s2/2", "11:30" ] ]
    steps = [ step("s1", "sand", grits: [ "P180" ]), coat("s2", coats: 2) ]
    made = plan(piece(document(*steps)), log: entries(*SANDED, *COATED, *second), now: "2026-11-23T12:00+01:00")
    assert_in_delta made.film("top", "show").standing.total_um,
                    Rhexon::Compare::Done.new(made, "top").lines.sum { |one| one.film_um.to_f }, 0.2
  end

  def test_work_of_which_only_the_end_was_logged_took_nobody_knows_how_long
    assert_nil lines(entries(SANDED.last)).first.hands_min
  end

  def test_only_what_is_done_has_a_line_in_the_order_it_was_done
    assert_empty lines([])
    assert_equal [ "Sand P180" ], lines(entries(*SANDED, COATED.first)).map(&:words)
    assert_equal %w[top/s1/1/show top/s2/1/show], lines(entries(*COATED, *SANDED)).map(&:key)
  end
end
