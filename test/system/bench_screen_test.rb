require "application_system_test_case"

class BenchScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1", coats: 2) ], count: 3)
  end

  test "a dry test opens the film before its time, not yet moves it" do
    log(@piece, "s1/1/top", "done", 80.minutes.ago)
    visit "/bench"
    within(".slab") do
      assert_text "opens in"
      click_on "Not yet"
      assert_text "opens in"
      click_on "Dry"
      click_on "Start coat 2 of 2"
    end
    assert_text "In hand: coat 2 of 2"
    assert_equal %w[not_yet dry], Entry.where(kind: "dry_test").order(:id).map { |entry| entry.body["answer"] }
  end

  test "what is touched without the server is kept and sent later, once" do
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", offline: true, latency: 0, downloadThroughput: 0, uploadThroughput: 0)
    click_on "Start"
    assert_text "kept here, not yet sent"
    assert_equal 0, Entry.count
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1)
    page.execute_script("window.dispatchEvent(new Event('online'))")
    assert_text "In hand: coat 1 of 2"
    assert_equal [ "started" ], Entry.pluck(:kind)
  end

  test "a fault, its ways to mend with their dates, and what mends it on the bench" do
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    visit "/bench"
    click_on "A fault on Desk top"
    within "[role=dialog]" do
      select "Dry spray: a rough haze", from: "It shows"
      assert_text "Likely from: gun too far away or too fast"
      assert_text(/later, .* of hands more/)
      assert_accessible
      click_on "Denib, one full wet coat"
    end
    assert_no_selector "[role=dialog]"
    assert_text "sand P400"
    assert_equal %w[coat sand coat coat], @piece.schedule.reload.document["steps"].map { |step| step["kind"] }
    click_on "Take back: top coat, Skerrow W20 clear satin at fault"
    assert_no_text "sand P400"
    assert_quiet_console
  end

  test "how a coat is laid on stands on its card" do
    @piece.schedule.edit!({ "op" => "change_step", "id" => "s1", "set" => { "pattern" => "moving_start" } }, base: @piece.schedule.head.number, reason: "Round work")
    visit "/bench"
    assert_text "start at mark 1"
  end

  test "a film that is shut asks for its scuff" do
    log(@piece, "s1/1/top", "done", 14.hours.ago)
    visit "/bench"
    assert_selector ".slab", text: "shut since"
    within(".slab") { click_on "Start scuff P320" }
    assert_text "In hand: scuff P320"
    click_on "Done"
    assert_text(/coat 2 of 2/i)
    assert_equal [ "#{@piece.core_id}/s1/2/top/scuff" ], Entry.where(kind: "started").pluck(:pass_key)
  end
end
