require "test_helper"
require "English"

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
    assert_operator found.ready_at, :<=, quick.ready.values.max if found.enough?
    Plan::Kept.take!(found.starts)
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
    Plan::LongSearch.put_away
    assert_equal "stopped", second.join.state
    assert_nil Plan::LongSearch.found(second.digest)
  end

  # Everything is kept a week too late: what is found is offered for as long as nothing else is written.
  test "what is worth asking for is offered until something is written, or it is put away" do
    ShopFloor.new.keep!
    PlannedPass.update_all("start_min = start_min + 7 * 1440")
    found = search.join
    assert_operator found.better.ready_min, :>, 5 * 1440
    assert_same found, Plan::LongSearch.offer(ShopFloor.new)
    told = JSON.parse(LongSearchSerializer.new(found).serialize)["better"]
    assert_includes told["moves"].map { |move| move["words"] }, "Coat 1 of 2"
    assert_operator told["ready"].size, :>, 0
    Plan::LongSearch.put_away
    assert_nil Plan::LongSearch.offer(ShopFloor.new)
  end

  test "at night what is better is taken by itself, and while hands are there it is offered" do
    Shop.current.update!(better_plan: "night")
    ShopFloor.new.keep!
    PlannedPass.update_all("start_min = start_min + 7 * 1440")
    late = PlannedPass.minimum(:start_min)
    search.join
    LongSearchJob.new.perform("another")
    assert_equal late, PlannedPass.minimum(:start_min), "the shop is open"
    travel_to Time.zone.parse("2026-11-23 22:00")
    search.join
    LongSearchJob.new.perform("another")
    assert_operator PlannedPass.minimum(:start_min), :<, late
    assert_operator PlanMove.of_passes.count, :>, 0
  end

  test "what goes wrong is kept in words" do
    broken = Plan::LongSearch.new({ "schema" => "rhexon-shop/1", "now" => "2026-11-23T09:00+01:00" },
                                  ShopFloor.new.plan)
    broken.run
    assert_equal "failed", broken.state
    assert_match(/\AThe longer search could not be finished: ./, broken.error)
  end

  test "a process that works for another one ends with it, and after its time" do
    { "3600" => true, "0.2" => false }.each do |seconds, hung_up|
      reading, writing = IO.pipe
      pid = Process.spawn({ "LIFELINE" => reading.fileno.to_s, "LIFELINE_S" => seconds }, RbConfig.ruby, "-W0", "-r",
                          Plan::LongSearch::LIFELINE, "-e", "sleep", reading => reading)
      reading.close
      assert_nil Process.wait(pid, Process::WNOHANG)
      writing.close if hung_up # as the kernel does for whoever is killed
      ended = 50.times.find { Process.wait(pid, Process::WNOHANG) || (sleep(0.1) && nil) }
      assert ended, "it goes on by itself"
      assert_equal 75, $CHILD_STATUS.exitstatus
    ensure
      writing.close unless writing.closed?
      ended || Process.kill("KILL", pid)
    end
  end

  TestShare.draw_tests(self, quick: 3)
end
