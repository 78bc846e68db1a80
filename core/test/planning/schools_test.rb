require "test_helper"

# House rules are data: what may be said is what the schemas take, and what is done where nothing is said is known.
class SchoolsTest < CoreTest
  SCHOOLS = Rhexon::Planning::Schools

  def taken(schema, name)
    rule = JSON.parse(File.read(File.join(Rhexon::Reference::DATA, "../schema/#{schema}.json")))
      .dig("properties", "house", "properties", name) or return
    rule["enum"] || (nil if rule["type"])
  end

  def test_both_schemas_take_what_a_rule_may_be
    SCHOOLS.names.each do |name|
      said = SCHOOLS.options(name).compact
      next if name == "coats_a_day"

      assert_equal said.sort_by(&:to_s), taken("rhexon-shop-1", name).sort_by(&:to_s), name
      mine = taken("rhexon-schedule-2", name)
      SCHOOLS.of_the_shop.include?(name) ? assert_nil(mine, name) : assert_equal(said.sort, mine.sort, name)
    end
  end

  def test_each_is_done_in_some_way_where_nobody_says_anything
    assert_equal SCHOOLS.names - %w[coats_a_day], SCHOOLS.defaults.keys
    assert_equal [ "none", 6, 50, "filler" ], SCHOOLS.defaults.values_at("scuff", "shellac_months", "plan_on", "pores")
    assert_operator SCHOOLS.names.size, :>=, 20
  end

  # Nine times of ten takes longer than every other time: exp(1.2816 sqrt(0.35² + 0.15²)) = 1.63 of 90 min to recoat.
  def test_a_shop_plans_on_the_time_that_it_trusts
    opens = ->(share) {
      made = plan(piece(document(coat("s1", coats: 2))), house: { "plan_on" => share })
      placement(made, "s1/2").work_start - placement(made, "s1/1").work_end
    }
    assert_in_delta 90, opens.(50), 5
    assert_in_delta 90 * 1.63, opens.(90), 6
  end
end
