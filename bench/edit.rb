# Browser time from an edit to the redrawn picture, with production assets: ruby bench/edit.rb [URL] [seconds between
# edits, 0.15]
# Needs a running bin/demo. Makes 50 edits of the wet film on the first piece, each to a thickness that was not planned
# lately, then undoes them: pressed with the pointer on the stepper, and typed, which takes as long as a hand takes.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../Gemfile", __dir__)
require "bundler/setup"
require "selenium-webdriver"
require "tmpdir"

EDITS = 50
TURN_AFTER = 12
MORE, LESS = "Wet film: 5 µm more", "Wet film: 5 µm less"
# Notes when the pointer went down, or Enter, on what has the label, and when the film that changed by it was painted.
WATCH = <<~JS.freeze
  const [label, event] = arguments
  const drawn = () => [...document.querySelectorAll(".film-section path")].map((path) => path.getAttribute("d")).join()
  const before = drawn()
  window.took = null
  document.querySelector(`[aria-label="${label}"]`).addEventListener(event, (pressed) => {
    if (event === "keydown" && pressed.key !== "Enter") return
    const start = performance.now()
    const end = () => { window.took = performance.now() - start }
    const look = () => requestAnimationFrame(drawn() === before ? look : end)
    requestAnimationFrame(look)
  }, { capture: true, once: event === "pointerdown" })
JS

def took(driver, label, event)
  driver.execute_script(WATCH, label, event)
  yield
  Selenium::WebDriver::Wait.new(timeout: 30, interval: 0.02).until { driver.execute_script("return window.took") }
end

def tell(way, times)
  times = times.sort
  puts "#{times.size} edits #{way}, to the repainted picture: p50 #{times[times.size / 2].round} ms, p95 " \
       "#{times[(times.size * 0.95).floor].round} ms, slowest #{times.last.round} ms"
end

def pressed(driver, pause)
  hand = driver.action
  Array.new(EDITS) do |index|
    label = (index / TURN_AFTER).even? ? MORE : LESS
    button = driver.find_element(css: "[aria-label='#{label}']")
    hand.move_to(button).perform
    sleep index % TURN_AFTER == 0 ? 0.3 : pause
    took(driver, label, "pointerdown") { hand.click.perform }
  end
end

def typed(driver, pause)
  Array.new(EDITS / 2) do |index|
    sleep pause
    field = driver.find_element(css: "[aria-label^='Wet film, ']")
    field.click
    field.send_keys([ :control, "a" ], (60 + index * 1.5).to_s)
    sleep 0.3 # from the last figure to Enter
    took(driver, field.attribute("aria-label"), "keydown") { field.send_keys(:enter) }
  end
end

base = ARGV[0] || "http://127.0.0.1:3000"
pause = Float(ARGV[1] || 0.15)
profile = Dir.mktmpdir
options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
%W[
  --headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
  --disable-component-update --disable-sync --window-size=1280,800 --user-data-dir=#{profile}
].each { |flag| options.add_argument(flag) }
http = Selenium::WebDriver::Remote::Http::Default.new(read_timeout: 240)
driver = Selenium::WebDriver.for(:chrome, options: options,
                                          http_client: http,
                                          service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver"))
driver.manage.timeouts.script_timeout = 200
driver.navigate.to("#{base}/pieces/1/schedule")
sleep 1.5
driver.find_elements(css: "[role=option]")
  .find { |row| row.text.include?("Coat") && row.attribute("data-state") == "planned" }.click
begun = driver.execute_async_script("fetch(location.pathname + '.json', { headers: { Accept: 'application/json' } })" \
                                    ".then((answer) => answer.json()).then(arguments[0])")["schedule"]["revision"]
tell("pressed", pressed(driver, pause))
tell("typed", typed(driver, pause))
driver.execute_async_script("const [to, done] = arguments; const headers = { 'Content-Type': 'application/json', " \
                            "Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(document.cookie" \
                            ".split('XSRF-TOKEN=')[1].split(';')[0]) }; (async () => { for (;;) { const answer = " \
                            "await (await fetch(location.pathname + '/undo', { method: 'POST', headers, " \
                            "body: '{}' })).json(); if (!answer.schedule || answer.schedule.revision <= to) return " \
                            "done() } })()",
                            begun)
driver.quit
FileUtils.rm_rf(profile)
