require "application_system_test_case"

class BenchScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1", coats: 2) ], count: 3)
    read_cautions(@piece)
  end

  state "a dry test opens the film before its time, not yet moves it" do
    log(@piece, "s1/1/top", "done", 80.minutes.ago)
    visit "/bench"
    within(".drying-slab") do
      assert_text "opens in"
      click_on "Not yet"
      assert_text "opens in"
      click_on "Dry"
      click_on "Start coat 2 of 2"
    end
    assert_text "In hand: coat 2 of 2"
    assert_sent
    assert_equal %w[not_yet dry], Entry.where(kind: "dry_test").order(:id).map { |entry| entry.body["answer"] }
  end

  test "what is touched without the server is kept and sent later, once" do
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    page.driver.browser.execute_cdp("Network.enable")
    page.driver.browser.execute_cdp(
      "Network.emulateNetworkConditions", offline: true, latency: 0, downloadThroughput: 0, uploadThroughput: 0
    )
    click_on "Start"
    assert_text "kept here, not yet sent"
    assert_empty touched
    page.driver.browser.execute_cdp(
      "Network.emulateNetworkConditions", offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1
    )
    assert_text "In hand: coat 1 of 2"
    assert_sent
    assert_equal %w[started], touched
  end

  state "a fault, its ways to mend with their dates, and what mends it on the bench" do
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    visit "/bench"
    click_on "A fault on Desk top"
    within "[role=dialog]" do
      select "Dry spray: a rough haze", from: "It shows"
      assert_text "gun too far away or too fast"
      assert_text(/later, .* of hands more/)
      assert_accessible
      click_on "Denib, one full wet coat"
    end
    assert_no_selector "[role=dialog]"
    assert_text "sand P400"
    assert_equal %w[coat sand coat coat], @piece.schedule.reload.document["steps"].map { |step| step["kind"] }
    click_on "Take back: the fault on top coat, Skerrow W20 clear satin"
    assert_no_text "sand P400"
    assert_quiet_console
  end

  state "a touch that is refused stands beside its sentence until it is taken back, and the others go on" do
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    log(@piece, "s1/1/top", "started", 1.minute.ago)
    click_on "Start"
    assert_text "was not taken: That work is already begun"
    assert_accessible
    visit "/bench"
    assert_text "was not taken: That work is already begun"
    click_on "Done"
    assert_text(/coat 2 of 2/i)
    click_on "Take it back", match: :first
    assert_no_text "was not taken"
    assert_sent
    assert_equal %w[started done], touched
  end

  state "a touch that the server could not take stays, and goes out when it can" do
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    failing = true
    real = Bench::Work.method(:record!)
    Bench::Work.define_singleton_method(:record!) do |*arguments, **options|
      failing ? raise(NoMethodError, "a defect") : real.call(*arguments, **options)
    end
    click_on "Start"
    assert_text "kept here, not yet sent"
    assert_text(/stands in the log as error [A-Z0-9]{6}/)
    failing = false
    page.execute_script("window.dispatchEvent(new Event('online'))")
    assert_text "In hand: coat 1 of 2"
    assert_no_text "not yet sent"
    assert_sent
    assert_equal %w[started], touched
  ensure
    Bench::Work.singleton_class.remove_method(:record!)
    Bench::Work.define_singleton_method(:record!, real)
  end

  test "with its cookies deleted the page gets a new token and the touch goes out" do
    ActionController::Base.allow_forgery_protection = true
    visit "/bench"
    assert_text "Now: coat 1 of 2"
    page.driver.browser.manage.delete_all_cookies
    click_on "Start"
    assert_text "In hand: coat 1 of 2"
    assert_sent
    assert_equal %w[started], touched
  ensure
    ActionController::Base.allow_forgery_protection = false
  end

  test "what can hurt is read first, by each person once, and rags hold the day open" do
    Product.create!(code: "marram", maker: "Marram", name: "bar varnish", kind: "oil_varnish", role: "top coat")
    @piece.job.update!(closed_at: Time.current)
    make_piece(name: "Oiled", steps: [ coat("s1", product: "marram", method: "brush", wet_um: 85, coats: 2) ])
    visit "/bench"
    assert_text "Rags and dust of this oil heat themselves"
    assert_no_button "Start"
    assert_accessible
    find("h1").click
    page.send_keys :space
    assert_button "Start"
    assert_text "Take care: self-heating rags, solvent vapour"
    click_on "Start"
    assert_text "In hand: coat 1 of 2"
    assert_text "Rags hold the day open"
    assert_accessible
    click_on "Dealt with"
    assert_no_text "Rags hold the day open"
    assert_sent
    assert_equal %w[started rags], touched
  end
end
