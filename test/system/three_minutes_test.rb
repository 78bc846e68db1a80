require "application_system_test_case"
require Rails.root.join("db/demo/demo")

# Somebody who knows no system, with a table and a date: from opening the page to a planned schedule.
class ThreeMinutesTest < ApplicationSystemTestCase
  MOST_TOUCHES = 14

  setup do
    @touches = 0
    @began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end

  # A press, or a field that is filled in.
  def touch
    @touches += 1
    yield
  end

  def table_with_a_date
    touch { fill_in "Client or job", with: "Ferry house" }
    touch { find_field("Due (may be left open)").send_keys(30.days.from_now.strftime("%m%d%Y")) }
    touch { fill_in "Name", with: "Ferry table" }
    touch { fill_in "Wood", with: "oak" }
    touch { select "a table top", from: "It must stand up to" }
    touch { fill_in "Area, m²", with: "1600 x 750 mm" }
    touch { click_on "Keep it and go to its schedule" }
    touch { click_on "See which ways would do" }
    assert_selector ".way", minimum: 3, wait: 30
    touch { first(".way").click_on "Choose" }
    assert_text "Ready to handle", wait: 30
  end

  def assert_planned(where)
    piece = Piece.find_by!(name: "Ferry table")
    plan = ShopFloor.new.plan
    assert_operator piece.schedule.steps.size, :>=, 2
    assert_operator plan.build.ready.fetch(piece.core_id), :<=, piece.job.due_at.to_i / 60
    assert_not_includes Rhexon::Checks::Catalogue.findings(plan, piece.core_id).map(&:level), "stop"
    assert_operator @touches, :<=, MOST_TOUCHES
    seconds = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - @began).round
    puts "From opening the page to a planned schedule, #{where}: #{@touches} touches, #{seconds} s by machine"
    assert_quiet_console
  end

  test "on an empty shop" do
    [ OpenHour, Product, Person, Room, Shop ].each(&:delete_all)
    visit "/bench"
    touch { fill_in "Name of the shop", with: "Ferry house" }
    touch { fill_in "Who owns it", with: "Imke" }
    touch { fill_in "Password of the owner, 12 letters or more", with: "oil beneath water" }
    touch { click_on "Begin" }
    assert_selector "h1", text: "Bench"
    touch { click_on "Size up the first piece" }
    table_with_a_date
    assert_planned("an empty shop")
  end

  state "on the demo" do
    [ OpenHour, Product, Person, Room, Shop ].each(&:delete_all)
    capture_io { Demo.seed!(now: Time.current) }
    @began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    visit "/pieces"
    touch { click_on "New piece" }
    touch { select "a new job", from: "Job" }
    table_with_a_date
    assert_planned("the demo")
  end
end
