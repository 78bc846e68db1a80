require "minitest/autorun"
require "selenium-webdriver"
require "tmpdir"
require "securerandom"
require_relative "../support/running_shop"
require_relative "../../core/test/test_share"

# The bench without the shop's computer: it is killed, a tablet loses its battery and is started again, hands go on.
# Everything they touched arrives once and in its order.
class OfflineTest < Minitest::Test
  # As long as a restart takes; half a minute where there is time.
  SILENT_S = { "quick" => 8 }.fetch(TestShare::MODE, 30)
  FLAGS = %w[
    --headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --disable-dev-shm-usage --window-size=820,1180
  ].freeze

  # A tablet with storage of its own.
  class Tablet
    def initialize(port)
      @at = "http://127.0.0.1:#{port}"
      @profile = Dir.mktmpdir("rhexon-tablet")
      start
    end

    def start
      options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
      [ *FLAGS, "--user-data-dir=#{@profile}" ].each { |flag| options.add_argument(flag) }
      @driver = Selenium::WebDriver.for(
        :chrome, options: options, service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      )
      @driver.manage.timeouts.script_timeout = 20
    end

    def open(path) = @driver.get(@at + path)
    def text = @driver.find_element(css: "main").text

    # The browser is gone from one moment to the next.
    def lose_battery
      `pgrep -f #{@profile}`.split.each { |id| Process.kill("KILL", id.to_i) rescue nil } # rubocop:disable Style/RescueModifier
      @driver.quit rescue nil # rubocop:disable Style/RescueModifier
      start
    end

    def remove
      @driver.quit
      FileUtils.rm_rf(@profile)
    end

    def wait(seconds = 20)
      Selenium::WebDriver::Wait.new(timeout: seconds, interval: 0.1,
                                    ignore: [ Selenium::WebDriver::Error::StaleElementReferenceError,
                                              Selenium::WebDriver::Error::NoSuchElementError ]).until { yield }
    end

    def touch(css, words) = wait { ready(css).find { |one| one.text.start_with?(words) } }.click
    def ready(css) = @driver.find_elements(css: css).select { |one| one.displayed? && one.enabled? }

    def tick(nth)
      wait { @driver.find_element(css: "[aria-label='Piece #{nth} is finished: tick']") }.click
      wait { @driver.find_element(css: "[aria-label='Piece #{nth} is finished']") }
    end

    # Its pages are kept, and it is told so by the browser. What is looked up is read to its end: a page that is still
    # being read is not yet whole on the disk.
    def kept?
      wait(40) do
        @driver.execute_async_script(<<~JS)
          const done = arguments[0]
          if (!navigator.serviceWorker.controller) done(false)
          else caches.open("pages").then((pages) => pages.match("/bench")).then((page) => page?.text())
            .then((text) => done(Boolean(text)))
        JS
      end
    end

    # Nothing lies on it any more for the server.
    def all_sent?
      wait(60) do
        @driver.execute_async_script(<<~JS)
          const done = arguments[0]
          const request = indexedDB.open("rhexon-bench")
          request.onsuccess = () => {
            const count = request.result.transaction("touches").objectStore("touches").count()
            count.onsuccess = () => done(count.result === 0)
          }
        JS
      end
    end
  end

  def setup
    @shop = RunningShop.new("offline_#{Process.pid}_#{SecureRandom.hex(3)}")
    @shop.make_pieces(count: 24)
    @shop.start
    @tablets = Array.new(2) { Tablet.new(@shop.port) }
  end

  def teardown
    @tablets.each(&:remove)
    @shop.kill
    @shop.remove
  end

  def test_two_tablets_go_on_while_the_shops_computer_is_gone
    one, other = @tablets
    @tablets.each { |tablet| tablet.open("/bench") }
    @tablets.each(&:kept?)
    one.touch("button", "Start")
    other.wait do
      other.open("/bench")
      other.text.include?("In hand")
    end
    @shop.kill
    killed = Time.now

    (1..6).each { |nth| one.tick(nth) }
    (13..18).each { |nth| other.tick(nth) }
    one.lose_battery
    one.open("/bench")
    one.wait { one.text.include?("What is shown here is of") && one.text.include?("6 touches are kept here") }
    (7..12).each { |nth| one.tick(nth) }
    (19..24).each { |nth| other.tick(nth) }
    one.touch("button", "Done")
    one.touch("button", "Start")
    (1..13).each { |nth| one.tick(nth) }
    assert_empty_page_is_told(other)

    sleep([ SILENT_S - (Time.now - killed), 0 ].max)
    @shop.start
    @tablets.each(&:all_sent?)
    assert_everything_arrived
  end

  private

  # A page that is not kept says so, and the way back to the bench works.
  def assert_empty_page_is_told(tablet)
    tablet.open("/shelf")
    tablet.wait { tablet.text.include?("This page is not kept on this device") }
    tablet.open("/bench")
    tablet.wait { tablet.text.include?("In hand") }
  end

  def assert_everything_arrived
    rows = @shop.rows("SELECT kind || ' ' || ifnull(json_extract(body, '$.nth'), '') FROM entries " \
                      "WHERE kind IN ('started', 'tick', 'done') ORDER BY id").map(&:strip)
    assert_equal 2 + 24 + 13 + 1, rows.size, "forty touches, each once"
    assert_equal 40,
                 @shop.count("SELECT COUNT(DISTINCT client_id) FROM entries WHERE kind IN ('started', 'tick', 'done')")
    first, second = %w[p1/s1/1/top p1/s1/2/top].map do |pass|
      @shop.rows("SELECT json_extract(body, '$.nth') FROM entries WHERE kind = 'tick' AND pass_key = '#{pass}' " \
                 "ORDER BY id").map(&:to_i)
    end
    assert_equal [ *1..12 ], first.select { |nth| nth <= 12 }, "in the order of the first tablet"
    assert_equal [ *13..24 ], first.select { |nth| nth > 12 }, "in the order of the other"
    assert_equal [ *1..13 ], second
    assert_equal 0, @shop.count("SELECT COUNT(*) FROM entries one JOIN entries other ON other.id > one.id AND " \
                                "other.pass_key = one.pass_key AND one.kind = 'done' AND other.kind = 'started'")
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
