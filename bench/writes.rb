# How long writes take while several people write: ruby bench/writes.rb [URL] [writers, 5] [seconds, 120] [pause, 0.2 s]
# Needs a running demo shop on a copy that may be written to, such as one that bench/short_week.rb filled. Each writer
# signs in, then starts and ends passes, edits coats, writes down readings and takes touches back; one in twenty changes
# the hours. Tells each kind by itself: how many, middle, 95 of 100, slowest, and what was answered;
# at the end, in which words writes were refused.
require "json"
require "net/http"
require "securerandom"
require "time"

url, writers, seconds = ARGV[0] || "http://127.0.0.1:3000", Integer(ARGV[1] || 5), Float(ARGV[2] || 120)
PAUSE = Float(ARGV[3] || 0.2)
SHOP = URI(url)
Write = Struct.new(:kind, :took_ms, :code, :refused)

# One person at one device.
class Writer
  def initialize(number, done)
    @random = Random.new(number)
    @number = number
    @done = done
    @cookies = {}
    @let_in = false
    @http = Net::HTTP.start(SHOP.host, SHOP.port, read_timeout: 600)
    @pieces = opened("/pieces")["jobs"].flat_map { |job| job["pieces"] }.map { |piece| piece["id"] }
  end

  def write(kind) = send(kind)

  private

  # As a page does: asked again after two seconds where the shop has just started and is busy.
  def opened(path)
    20.times do
      props = page(path)
      return props unless props.dig("error", "again")

      sleep 2
    end
    abort "#{path} stays busy"
  end

  # Props of a page.
  def page(path)
    html = ask(Net::HTTP::Get.new(path)).body
    JSON.parse(html[%r{<script[^>]*application/json[^>]*>(.*?)</script>}m, 1])["props"]
  end

  def ask(request)
    request["Cookie"] = @cookies.map { |pair| pair.join("=") }.join("; ")
    request["X-XSRF-TOKEN"] = URI.decode_www_form_component(@cookies["XSRF-TOKEN"].to_s)
    response = @http.request(request)
    response.get_fields("set-cookie").to_a.each do |cookie|
      name, value = cookie.split(";").first.split("=", 2)
      @cookies[name] = value
    end
    response
  end

  def post(kind, path, body)
    request = Net::HTTP::Post.new(path, "Content-Type" => "application/json", "Accept" => "application/json",
                                        "Prefer" => "respond-async")
    request.body = JSON.generate(body)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    response = ask(request)
    took = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
    # As a page does: the first answer brings the token of this session, and what was asked is asked again.
    if response.code == "403" && !@let_in
      @let_in = true
      return post(kind, path, body)
    end

    refused = JSON.parse(response.body).dig("error", "sentence") if response.code >= "400"
    @done << Write.new(kind, took, response.code, refused)
    response
  end

  # As a page has it: what a touch came to, or asked for once.
  def shown = @shown ||= bench
  def bench = JSON.parse(ask(Net::HTTP::Get.new("/bench", "Accept" => "application/json")).body)

  def touch
    row = shown["bench"]["upcoming"].to_a.sample(random: @random) or return
    person = shown["everybody"].sample(random: @random)
    %w[started done].each do |step|
      post("touch", "/entries", client_id: SecureRandom.uuid, kind: step, pass: row["key"], person: person,
                                happened_at: Time.now.utc.iso8601).then { |response| settle(response) }
    end
  end

  # As the page does: what the touch came to.
  def settle(response)
    path = JSON.parse(response.body)["settle"]
    answer = path && post("settle", path, {})
    @shown = answer && answer.code == "200" ? JSON.parse(answer.body) : nil
  end

  def edit
    id = @pieces.sample(random: @random)
    sheet = JSON.parse(ask(Net::HTTP::Get.new("/pieces/#{id}/schedule", "Accept" => "application/json")).body)
    coat = sheet.dig("sheet", "document", "steps").to_a.select { |step| step["kind"] == "coat" }.sample(random: @random)
    return unless coat

    post("edit", "/pieces/#{id}/schedule/edits",
         operation: { op: "change_step", id: coat["id"], set: { wet_um: 60 + @random.rand(40) } },
         base: sheet["schedule"]["revision"])
  end

  def hours
    week = { "1" => "07:30-12:#{format("%02d", @random.rand(30))}" }
    post("hours", "/shop/hours", person: nil, week: week, days: [])
  end
end

done = Queue.new
till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
KINDS = [ :touch ] * 10 + [ :edit ] * 9 + [ :hours ]
Array.new(writers) do |number|
  Thread.new do
    writer = Writer.new(number, done)
    turn = number
    while Process.clock_gettime(Process::CLOCK_MONOTONIC) < till
      writer.write(KINDS[(turn += 7) % KINDS.size])
      sleep PAUSE
    end
  end
end.each(&:join)

all = Array.new(done.size) { done.pop }
all.group_by(&:kind).merge("all" => all).each do |kind, writes|
  times = writes.map(&:took_ms).sort.map(&:round)
  middle, most = times[times.size / 2], times[(times.size * 0.95).floor]
  codes = writes.map(&:code).tally
  puts "#{kind}: #{times.size}, p50 #{middle} ms, p95 #{most} ms, slowest #{times.last} ms, #{codes}"
end
all.filter_map(&:refused).tally.each { |sentence, count| puts "#{count} x #{sentence}" }
