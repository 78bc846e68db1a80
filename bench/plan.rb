# How long the core takes to plan: RUBY_YJIT_ENABLE=1 ruby bench/plan.rb
# CPU time of one process, since the wall clock counts the neighbours too. Every size is planned three times; the best
# and the middle are printed.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../core/Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
require "bundler/setup"
require "rhexon"
require_relative "shops"

SIZES = [
  [ "1 piece x 20", { pieces: 1 } ], [ "4 pieces x 20", { pieces: 4 } ], [
    "shop week, 12 x 20", { pieces: 12 }
  ], [ "24 x 20", { pieces: 24, people: 2 } ], [ "48 x 20", { pieces: 48, people: 3 } ],
  [
    "class, 30 x 8 boards x 12", { pieces: 240, steps: 12, count: 1, people: 30, by: ->(index) { index / 8 } }
  ], [ "cell, 200 x 25", { pieces: 200, steps: 25, people: 8 } ]
].freeze

def cpu_ms
  began = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
  yield
  (Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - began) * 1000
end

def least_and_middle(times) = times.sort.then { |sorted| format("%9.1f %9.1f", sorted.first, sorted[sorted.size / 2]) }

puts format("%-28s %7s %9s %9s %9s %9s %8s", "ms of CPU", "passes", "read", "middle", "plan", "middle", "builds")
def plan(name, json, times: 3)
  shop = made = nil
  read = Array.new(times) { cpu_ms { shop = Rhexon::Planning::Shop.new(json) } }
  planned = Array.new(times) { cpu_ms { made = Rhexon::Search::Planner.plan(shop) } }
  puts format("%-28s %7d %s %s %8d", name, made.model.size, least_and_middle(read), least_and_middle(planned),
              made.builds)
  made
end

# The first plan of a process also reads data and compiles.
Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(Shops.week(2, steps: 20)))
SIZES.each { |name, fields| plan("#{name}, quick", Shops.week(fields[:pieces], **fields.except(:pieces))) }
week = plan("shop week, 12 x 20, full", Shops.week(12, effort: "full"), times: 1)
puts
puts format("%-28s %s", "500 draws, shop week",
            least_and_middle(Array.new(3) { cpu_ms { Rhexon::Chance::Outlook.new(week) } }))
puts format(
  "%-28s %s", "its rows, film and checks",
  least_and_middle(
    Array.new(3) do
      cpu_ms do
        Rhexon::Picture::Sheet.new(Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(Shops.week(12))), "p0")
          .then { |sheet| [ sheet.rows, sheet.section, sheet.findings ] }
      end
    end
  )
)
