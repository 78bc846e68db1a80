# Browser time from an edit to the redrawn picture, with production assets: ruby bench/edit.rb [URL] [seconds between
# edits, 0.15]
# Needs a running bin/demo. Makes 50 edits of the wet film on the first piece, each to a thickness that was not planned
# lately, then undoes them.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "selenium-webdriver"
require "tmpdir"

EDITS = 50
# Presses a button, waits until the drawn film has changed and been painted, and answers with the milliseconds between.
TIME_AN_EDIT = <<~JS.freeze
  const [label, done] = arguments
  const drawn = () => [...document.querySelectorAll(".film-section path")].map((path) => path.getAttribute("d")).join()
  const before = drawn()
  const button = document.querySelector(`[aria-label="${label}"]`)
  const start = performance.now()
  button.click()
  const end = () => done(performance.now() - start)
  const look = () => requestAnimationFrame(drawn() === before ? look : end)
  requestAnimationFrame(look)
JS

base = ARGV[0] || "http://127.0.0.1:3000"
pause = Float(ARGV[1] || 0.15)
Dir.mktmpdir do |profile|
  options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
  %W[
    --headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
    --disable-component-update --disable-sync --window-size=1280,800 --user-data-dir=#{profile}
  ].each { |flag| options.add_argument(flag) }
  driver = Selenium::WebDriver.for(:chrome, options: options,
                                            service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver"))
  driver.manage.timeouts.script_timeout = 60
  driver.navigate.to("#{base}/pieces/1/schedule")
  sleep 1.5
  driver.find_elements(css: "[role=option]")
    .find { |row| row.text.include?("Coat") && row.attribute("data-state") == "planned" }.click
  sleep 0.3
  driver.execute_async_script(TIME_AN_EDIT, "Wet film: 5 µm more")
  times = Array.new(EDITS) do |index|
    sleep pause
    driver.execute_async_script(TIME_AN_EDIT, index / 12 % 2 == 0 ? "Wet film: 5 µm more" : "Wet film: 5 µm less")
  end.sort
  puts "#{EDITS} edits, from the press to the repainted picture: p50 #{times[EDITS / 2].round} ms, p95 " \
       "#{times[(EDITS * 0.95).floor].round} ms, slowest #{times.last.round} ms"
  driver.execute_async_script("const done = arguments[0]; (async () => { for (let i = 0; i < #{EDITS + 1}; i++) " \
                              "await fetch(location.pathname + '/undo', { method: 'POST', headers: { 'Content-Type': " \
                              "'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': " \
                              "decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1].split(';')[0]) }, body: " \
                              "'{}' }); done() })()")
  driver.quit
end
