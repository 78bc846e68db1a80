# How long proposals take beside a shop week of twelve pieces: RUBY_YJIT_ENABLE=1 ruby bench/proposals.rb
# Wall clock of one process; each wish is asked five times: the middle time of the first three that are told, and the
# best, the middle and the worst until all are weighed.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../core/Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
require "bundler/setup"
require "rhexon"
require_relative "shops"

WISHES = {
  "nothing said" => {}, "satin, sprayed" => { "sheen" => [ 20, 35 ], "gear" => Rhexon::Systems::Wish::GEAR },
  "gloss, closed pores" => { "sheen" => [ 75, 95 ], "pores" => "closed", "gear" => Rhexon::Systems::Wish::GEAR },
  "by hand, no smell" => { "gear" => %w[brush wipe pad], "odour" => 2 }
}.freeze
PIECE = { "id" => "wished", "count" => 2, "wood" => "oak", "use" => "table_top",
          "faces" => [ { "id" => "top", "area_m2" => 1.2, "wood" => "open" } ], "schedule" => {} }.freeze

def ms
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
end

week = Shops.week(12)
shop = Rhexon::Planning::Shop.new(week.merge("pieces" => [ *week["pieces"], PIECE ]))
Rhexon::Systems::Engine.new(shop, "wished", {}).answer
puts format("%-22s %7s %7s %7s %7s  %s", "ms", "three", "best", "middle", "worst", "proposed, fell out")
WISHES.each do |name, wish|
  answer = nil
  early = []
  times = Array.new(5) {
    told = 0
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    ms do
      answer = Rhexon::Systems::Engine.new(shop, "wished", wish).answer do
        early << (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000 if (told += 1) == 3
      end
    end
  }.sort
  three = early.sort[early.size / 2] || 0
  puts format("%-22s %7.0f %7.0f %7.0f %7.0f  %d, %d", name, three, times[0], times[2], times[4], answer.proposals.size,
              answer.fallen.size)
end
