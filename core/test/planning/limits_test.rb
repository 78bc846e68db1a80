require_relative "../test_helper"

# What is planned is bounded by counting passes, faces and years, each told in a sentence.
class LimitsTest < CoreTest
  def coats(steps, each)
    document(*(1..steps).map { |number|
      coat("s#{number}", product: "seal", method: "wipe", wet_um: 10, coats: each, role: "build")
    })
  end

  def test_a_schedule_of_too_many_passes_is_refused_and_one_at_the_limit_is_planned
    assert_match(/more than 400 passes.*Accepted: at most 400/, refusal { plan(piece(coats(14, 30))) }.message)
    assert_equal 390, plan(piece(coats(13, 30))).model.size
  end

  def test_parts_of_a_day_count
    many = piece(coats(1, 30), count: 1000, area_m2: 30)
    assert_match(/more than 400 passes/, refusal { plan(many) }.message)
  end

  def test_faces_and_the_whole_shop_have_limits
    faces = (1..61).map { |number| { "id" => "f#{number}", "area_m2" => 0.1 } }
    assert_match(/61 faces is too many/, refusal { plan(piece(coats(1, 1)).merge("faces" => faces)) }.message)
    assert_match(/All pieces in hand come to 6240 passes/,
                 refusal { plan(*(1..16).map { |number| piece(coats(13, 30), id: "p#{number}") }) }.message)
  end

  def test_dates_are_within_ten_years
    { due: { due: "9999-12-31T17:00+01:00" }, release: { release: "1900-01-01T00:00Z" } }.each_value do |fields|
      assert_match(/more than 10 years from now/, refusal { plan(piece(coats(1, 1), **fields)) }.message)
    end
    assert_match(
      /more than 10 years/,
      refusal {
        plan(piece(coats(1, 1)),
             log: [ { "kind" => "started", "pass" => "top/s1/1/show", "at" => "0001-01-01T00:00Z" } ])
      }.message
    )
    assert plan(piece(coats(1, 1), due: "2035-01-01T17:00+01:00"))
  end

  # A date years ahead asks for no more hours or air than the work does.
  def test_a_far_due_date_reaches_no_further_than_the_horizon
    air = [
      {
        "id" => "bench",
        "daily" => [ { "at" => "06:00", "t_c" => 20, "rh" => 50 }, { "at" => "18:00", "t_c" => 12, "rh" => 60 } ]
      }
    ]
    made = plan(piece(coats(1, 2), due: "2036-11-01T17:00+01:00"), rooms: air)
    made.slack.to_h
    table = made.model.drying.dust_safe.compact.first.parts.first.progress.instance_variable_get(:@table)
    assert_operator table.times.last, :<=, made.shop.horizon + 60 * 1440
  end
end
