require "test_helper"

# The search with full effort, in a process of its own.
class LongSearchTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    Person.create!(name: "Osei", skills: [])
    # A shop in which the quick search is not the best: windows that shut overnight, one pair of trained hands.
    %w[Desk Panel Stool Door].each do |name|
      make_piece(
        name: name, count: 4,
        steps: [
          { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }, coat("s2", coats: 3),
          { "id" => "s3", "kind" => "level", "grits" => %w[P400], "aim" => "between" }, coat("s4", coats: 2)
        ]
      )
    end
  end

  def search = Plan::LongSearch.for(ShopFloor.new)

  test "finds a plan no worse than the quick one, which later plans then keep to" do
    found = search.join
    assert_equal "found", found.state
    quick = ShopFloor.new.plan.build
    assert_operator found.ready_at, :<=, quick.ready.values.max if found.better
    Plan.accept_starts!(found.digest, found.starts)
    kept = ShopFloor.new.plan
    assert_operator (kept.build.goal <=> quick.goal), :<=, 0
    assert_operator kept.build.ready.values.max, :<=, found.ready_at, "kept, or improved once more"
  end

  test "the same shop is searched once, another shop anew, and a search can be stopped" do
    10.times do |number|
      make_piece(name: "Leaf #{number}", steps: [ coat("s1", coats: 4), coat("s2", product: "seal", coats: 4) ])
    end
    first = search
    assert_same first, search
    make_piece(name: "Chair", steps: [ coat("s1") ])
    second = search
    assert_not_same first, second
    assert_equal "stopped", first.state
    Plan::LongSearch.stop
    assert_equal "stopped", second.join.state
    assert_nil Plan::LongSearch.found(second.digest)
  end

  test "what goes wrong is kept in words" do
    broken = Plan::LongSearch.new({ "schema" => "rhexon-shop/1", "now" => "2026-11-23T09:00+01:00" },
                                  ShopFloor.new.plan)
    broken.run
    assert_equal "failed", broken.state
    assert_match(/\AThe longer search could not be finished: ./, broken.error)
  end
end
