require "test_helper"
require "capybara/rails"
require "capybara/minitest"
require "selenium-webdriver"
require "tmpdir"
require Rails.root.join("lib/own_buffers")

# Drives the real pages in headless Chromium from Debian's packages.
class ApplicationSystemTestCase < ActionDispatch::SystemTestCase
  FLAGS = %w[
    --headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --disable-dev-shm-usage
  ].freeze
  AXE = Rails.root.join("node_modules/axe-core/axe.min.js").read

  # A node of a page that is just being left is an unknown error to Chromium: it is looked for again, like one that is
  # stale.
  module LooksAgain
    def invalid_element_errors = [ *super, Selenium::WebDriver::Error::UnknownError ]
  end

  # A state of a page that tests of components or requests hold, too: of these a share is seen in the browser.
  def self.state(words, &) = (test(words, &) if TestShare.of("#{name} #{words}", 1).any?)

  TestShare.draw_tests(self, quick: 2)

  Capybara.server = :puma, { Silent: true, Threads: "1:3" }
  Capybara.default_max_wait_time = 20
  Capybara.enable_aria_label = true
  Capybara.register_driver(:chromium) do |app|
    options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
    (FLAGS + [ "--user-data-dir=#{Dir.mktmpdir("rhexon-chromium")}" ]).each { |flag| options.add_argument(flag) }
    options.add_option("goog:loggingPrefs", { browser: "ALL" })
    Capybara::Selenium::Driver.new(app, browser: :chrome, options: options,
                                        service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver"))
                                 .extend(LooksAgain)
  end
  driven_by :chromium

  # The browser's clock is the real one, so these shops never close, and lie where it is ten in the morning: what a
  # day holds does not hang on the hour of the run.
  setup do
    travel_back
    set_up_shop
    Shop.current.update!(zone: morning_zone)
    OpenHour.delete_all
    (0..6).each { |day| OpenHour.create!(weekday: day, opens: "00:00", closes: "24:00") }
    page.current_window.resize_to(1280, 900)
    page.driver.browser.logs.get(:browser)
  end

  # Signs of these zones are turned round: Etc/GMT-3 is three hours ahead.
  def morning_zone
    (((10 - Time.now.utc.hour + 12) % 24) - 12).then { |ahead| ahead.zero? ? "Etc/UTC" : format("Etc/GMT%+d", -ahead) }
  end

  # What is no text of the page: a record, as the server has it in the end.
  def eventually
    page.document.synchronize { yield or raise Capybara::ExpectationNotMet, "it did not come to be" }
  end

  # No error in the console that the test did not ask for.
  def assert_quiet_console(except: nil)
    severe = page.driver.browser.logs.get(:browser).select { |entry| entry.level == "SEVERE" }.map(&:message)
    assert_empty(severe.reject { |message| except&.match?(message) })
  end

  # Everything that was touched is with the server.
  def assert_sent = assert_no_selector(".page-shell[data-unsent]")

  # Pages, and dialogs on them, that axe has looked at in this run.
  LOOKED_AT = Set.new

  # axe finds nothing serious on this screen. A page is looked at once a run, in full runs each time.
  def assert_accessible
    dialog = page.first("[role=dialog] h2", minimum: 0, wait: 0)&.text
    light = page.evaluate_script("document.documentElement.dataset.light")
    fresh = LOOKED_AT.add?([ page.current_path.gsub(/\d+/, "1"), dialog, light ])
    return unless fresh || TestShare.full?

    page.execute_script(AXE)
    found = page.evaluate_async_script("const done = arguments[0]; axe.run(document, { resultTypes: ['violations'] " \
                                       "}).then((result) => done(result.violations.filter((one) => ['serious', " \
                                       "'critical'].includes(one.impact)).map((one) => one.id + ': ' + " \
                                       "one.nodes.map((node) => node.target.join(' ') + ' ' + (node.any[0]?.message " \
                                       "?? '')).join(' | '))))")
    assert_empty found, "axe on #{page.current_path}"
  end

  def press(key, element = nil) = (element || page.find("body")).send_keys(key)

  # Opens a tab; what it holds is there then.
  def tab(words) = find("[role=tab]", text: words).click

  # Takes an entry of the menu of a schedule.
  def from_menu(words)
    click_on "More"
    find("[role=menuitem]", text: words).click
  end

  def row(words) = find("[role=option]", text: words, match: :first)
end
