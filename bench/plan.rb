# How long the core takes to plan: ruby bench/plan.rb   (RUBY_YJIT_ENABLE=1 to compare)
# Prints p50 and p95 of 30 plans for one piece of 20 steps, and for a shop of 4 and 12 pieces.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../core/Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
require "bundler/setup"
require "rhexon"

STEPS = begin
  prepare = [ { "kind" => "sand", "grits" => %w[P120 P150 P180] }, { "kind" => "raise_grain" }, { "kind" => "sand", "grits" => [ "P220" ] }, { "kind" => "stain", "product" => "dye", "method" => "wipe" },
              { "kind" => "coat", "role" => "seal", "product" => "seal", "method" => "spray", "wet_um" => 80, "coats" => 1 } ]
  coat = { "kind" => "coat", "role" => "top", "product" => "clear", "method" => "spray", "wet_um" => 90, "coats" => 1 }
  level = { "kind" => "level", "grits" => [ "P320" ], "aim" => "between", "removes_um" => 3 }
  look = { "kind" => "look" }
  (prepare + Array.new(4) { [ coat, level, coat ] }.flatten + [ look, { "kind" => "level", "grits" => %w[P800 P1000], "aim" => "rub_out" }, look ]).each_with_index.map { |step, index| { "id" => "s#{index + 1}", **step } }
end

def shop(pieces)
  week = %w[mon tue wed thu fri].to_h { |day| [ day, [ %w[07:30 16:30] ] ] }
  { "format" => "rhexon-shop/1", "now" => "2026-11-23T07:30+01:00", "zone" => "Europe/Berlin", "people" => [ { "id" => "hands", "week" => week } ], "rooms" => [ { "id" => "room", "climate" => [ { "t_c" => 18.5, "rh" => 58 } ] } ],
    "products" => [ { "id" => "clear", "class" => "waterborne_two_part" }, { "id" => "seal", "class" => "shellac" }, { "id" => "dye", "class" => "water_dye" } ],
    "pieces" => Array.new(pieces) { |index| { "id" => "p#{index}", "count" => 2, "use" => "furniture", "faces" => [ { "id" => "top", "area_m2" => 0.6 + index * 0.1, "wood" => "open" } ], "schedule" => { "format" => "rhexon-schedule/1", "steps" => STEPS } } } }
end

def milliseconds
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
end

puts "Ruby #{RUBY_VERSION}#{" with YJIT" if defined?(RubyVM::YJIT) && RubyVM::YJIT.enabled?}, effort quick, #{STEPS.size} steps a piece"
puts format("%-34s %8s %8s", "", "p50 ms", "p95 ms")
[ 1, 4, 12 ].each do |pieces|
  json = shop(pieces)
  Rhexon::Planning::Planner.plan(Rhexon::Planning::Shop.new(json))
  read = Array.new(30) { milliseconds { Rhexon::Planning::Shop.new(json) } }.sort
  plan = Array.new(30) { milliseconds { Rhexon::Planning::Planner.plan(Rhexon::Planning::Shop.new(json)) } }.sort
  answer = Array.new(30) { milliseconds { built = Rhexon::Planning::Planner.plan(Rhexon::Planning::Shop.new(json)); sheet = Rhexon::Picture::Sheet.new(built, "p0"); [ sheet.rows, sheet.section, sheet.findings ] } }.sort
  { "read and check" => read, "read and plan" => plan, "plan, film, checks" => answer }.each { |name, times| puts format("%-34s %8.1f %8.1f", "#{pieces} #{pieces == 1 ? "piece" : "pieces"}: #{name}", times[15], times[28]) }
end
