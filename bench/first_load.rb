# What a first visit costs on the wire, and how long until the page stands: ruby bench/first_load.rb [URL]
# Needs a running bin/demo. A fresh browser each time: nothing is cached.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "json"
require "selenium-webdriver"
require "tmpdir"

PAGES = {
  "bench" => "/bench", "schedule" => "/pieces/1/schedule", "shop plan" => "/pieces/plan", "mixing desk" => "/mix"
}.freeze
MOST_KB = 250
FLAGS = %w[
  --headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
  --disable-component-update --disable-sync --window-size=1280,800
].freeze

# @return [Array(Hash, Integer)] bytes on the wire by kind of resource, and milliseconds until the page was loaded
# How far things move while the page is made.
SHIFTS = <<~JS.freeze
  window.shifted = 0
  new PerformanceObserver((list) => list.getEntries().forEach((entry) => { window.shifted += entry.value }))
    .observe({ type: "layout-shift", buffered: true })
JS
TIMES = <<~JS.freeze
  const first = performance.getEntriesByName("first-contentful-paint")[0]
  const page = performance.getEntriesByType("navigation")[0]
  return [Math.round(first.startTime), Math.round(page.loadEventEnd), window.shifted]
JS

def visit(url)
  Dir.mktmpdir do |profile|
    options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
    [ *FLAGS, "--user-data-dir=#{profile}" ].each { |flag| options.add_argument(flag) }
    options.add_option("goog:loggingPrefs", { performance: "ALL" })
    driver = Selenium::WebDriver.for(
      :chrome, options: options, service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
    )
    driver.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: SHIFTS)
    driver.navigate.to(url)
    sleep 3
    events = driver.logs.get(:performance).map { |entry| JSON.parse(entry.message)["message"] }
    kinds = events
      .select { |event|
        event["method"] == "Network.responseReceived" &&
          event.dig("params", "response", "url").start_with?("http")
      }
      .to_h { |event| [ event.dig("params", "requestId"), event.dig("params", "type") ] }
    bytes = events
      .select { |event| event["method"] == "Network.loadingFinished" && kinds.key?(event.dig("params", "requestId")) }
      .group_by { |event| kinds.fetch(event.dig("params", "requestId")) }
      .transform_values { |group| group.sum { |event| event.dig("params", "encodedDataLength") } }
    [ bytes, *driver.execute_script(TIMES) ]
  ensure
    driver&.quit
  end
end

base = ARGV.first || "http://127.0.0.1:3000"
PAGES.each do |name, path|
  bytes, painted, loaded, shifted = visit("#{base}#{path}")
  total = bytes.values.sum / 1000.0
  kinds = bytes.sort_by { |_, size| -size }.map { |kind, size| "#{kind.downcase} #{(size / 1000.0).round}" }
  over = ", over the aim of #{MOST_KB} kB" if total > MOST_KB
  puts "#{name}: #{total.round} kB (#{kinds.join(", ")}), painted first after #{painted} ms, " \
       "loaded after #{loaded} ms, moved #{shifted.round(4)}#{over}"
end
