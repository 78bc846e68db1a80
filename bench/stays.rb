# How far a kept plan moves over simulated shop days, and what it is worth against a plan searched anew:
# RUBY_YJIT_ENABLE=1 ruby bench/stays.rb [days, 10] [shops, 3]
# A shop of twelve pieces and two people. Hands begin late or early by what is drawn and take as long as is drawn; one
# is ill for a day, a night is cold, an urgent piece comes in. In the evening a better plan is taken where one is found.
# Counted: moves without an event; moves of other pieces by kind of event, and those of pieces none of whose work shared
# the hands or the room of what was touched that day; and at the end readiness against a full search of the same shop,
# as it is and with the better plan that is then offered.
ENV["BUNDLE_GEMFILE"] = File.expand_path("../core/Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
require "bundler/setup"
require "rhexon"
require_relative "shops"

# One shop, day by day.
class SimulatedWeek
  Planner = Rhexon::Search::Planner
  Start = Rhexon::Planning::Start
  LATE_SD, HANDS_SD = 20, 0.25

  attr_reader :moved, :far, :apart, :events, :still

  def initialize(seed)
    @random = Random.new(seed)
    @json = Shops.week(12, steps: 12, count: 1, people: 2, seed: seed).merge("log" => [])
    @plan = Planner.plan(Rhexon::Planning::Shop.new(@json))
    @moved = Hash.new(0)
    @far = Hash.new(0)
    @apart = Hash.new(0)
    @events = Hash.new(0)
    @still = 0
    @running = []
    keep(@plan)
  end

  def zone = @plan.shop.zone

  def run(days)
    ends = @plan.shop.now + days * 1440
    ill, cold, urgent = [ 3, 5, 6 ].map { |day| @plan.shop.now + day * 1440 }
    while (pass = following) && pass.hands_start < ends
      next finish if @running.any? && @running.first.first <= pass.hands_start

      ill = once(ill, pass) { happen(:ill) { { "people" => without_second(pass.hands_start) } } }
      cold = once(cold, pass) { happen(:cold_night) { { "rooms" => colder } } }
      urgent = once(urgent, pass) { happen(:new_piece) { { "pieces" => @json["pieces"] + [ one_more ] } } }
      look_between(pass)
      begin_work(following || pass)
    end
    finish while @running.any?
  end

  # @return [Array<Array(Float, Integer)>] mean of readiness and minutes late: kept, with what is offered taken, and
  #   searched anew
  def against_anew
    kept = @plan
    evening
    anew = Planner.plan(Rhexon::Planning::Shop.new(@json.merge("effort" => "full", "previous" => [])))
    [ kept, @plan, anew ].map { |plan| [ mean(plan), plan.build.late_min ] }
  end

  private

  def mean(plan) = plan.build.ready.values.compact.then { |all| all.sum.fdiv(all.size) - plan.shop.now }

  def following
    @plan.placements.select { |one| one.status == "planned" && one.hands.any? }.min_by(&:hands_start)
  end

  def once(minute, pass)
    return minute if minute.nil? || pass.hands_start < minute

    yield
    nil
  end

  # Nobody does anything for a while: nothing may move.
  def look_between(pass)
    now = @plan.shop.now
    return unless pass.hands_start > now + 10

    later = planned("now" => zone.iso(now + (pass.hands_start - now) / 2))
    @still += differing(@plan, later).size
  end

  def begin_work(pass)
    begun = [ pass.hands_start + (Rhexon::Statistics::Normal.draw(@random) * LATE_SD).round, @plan.shop.now ].max
    return finish if @running.any? && @running.first.first <= begun

    happen(:"begun_#{how(begun - pass.hands_start)}", pass, begun) { log(pass, "started", begun) }
    took = (pass.pass.hands_min * Math.exp(Rhexon::Statistics::Normal.draw(@random) * HANDS_SD)).ceil
    @running = [ *@running, [ begun + took, pass, begun + pass.pass.hands_min ] ].sort_by(&:first)
  end

  def finish
    (ended, pass, planned), *@running = @running
    happen(:"ended_#{how(ended - planned)}", pass, ended) { log(pass, "done", ended) }
    evening if following && pass.hands_start / 1440 != following.hands_start / 1440
  end

  def log(pass, kind, at)
    entry = { "pass" => pass.pass.key, "kind" => kind, "at" => zone.iso(at), "person" => pass.person }
    { "log" => @json["log"] + [ entry ] }
  end

  def how(late)
    return "late" if late > Start::NEAR_MIN

    late > 4 ? "a_little_late" : "on_time"
  end

  def happen(kind, pass = nil, at = @plan.shop.now)
    @json = @json.merge(yield).merge("now" => zone.iso(at))
    now = planned({})
    mine = pass&.pass&.piece&.id
    @events[kind] += 1
    others = differing(@plan, now).reject { |key, _| key.split("/").first == mine }
    @moved[kind] += others.size
    @far[kind] += others.count { |_, by| by > Start::NEAR_MIN }
    @apart[kind] += others.count { |key, _| !shares?(pass, key.split("/").first) } if pass
    keep(now)
  end

  # Whether any work of a piece was to be in those hands or that room on the day.
  def shares?(pass, piece)
    @plan.of_piece(piece).any? do |one|
      one.hands.any? && one.hands_start / 1440 == pass.hands_start / 1440 &&
        (one.person == pass.person || one.pass.room == pass.pass.room)
    end
  end

  def evening
    other = [ @json["previous"], [] ].lazy.map { |previous| better(previous) }
      .find { |found| Rhexon::Compare::Better.new(@plan, found).enough? } or return
    @events[:taken] += 1
    keep(other)
  end

  def better(previous)
    found = Planner.plan(Rhexon::Planning::Shop.new(@json.merge("effort" => "full", "previous" => previous)))
    planned("previous" => Start.of(found))
  end

  def planned(fields) = Planner.plan(Rhexon::Planning::Shop.new(@json.merge(fields)), near: @plan)

  def keep(plan)
    @plan = plan
    @json = @json.merge("previous" => Start.of(plan), "effort" => "kept")
  end

  def differing(was, now)
    starts = now.placements.to_h { |one| [ one.pass.key, one.hands_start ] }
    was.placements.select { |one| one.status == "planned" && one.hands.any? && one.pass.kind != "scuff" }
      .filter_map { |one|
      (at = starts[one.pass.key]) && at != one.hands_start && [ one.pass.key,
                                                                (at - one.hands_start).abs ]
    }
  end

  def without_second(minute)
    day = { "date" => zone.date(minute).iso8601, "open" => [] }
    @json["people"].each_with_index.map { |one, at| at == 1 ? one.merge("except" => [ *one["except"], day ]) : one }
  end

  def colder
    @json["rooms"].map do |room|
      next room unless room["daily"]

      room.merge("daily" => room["daily"].map { |entry| entry.merge("t_c" => entry["t_c"] - 4) })
    end
  end

  def one_more = @json["pieces"].first.merge("id" => "urgent", "due" => zone.iso(@plan.shop.now + 4 * 1440))
end

days, shops = Integer(ARGV[0] || 10), Integer(ARGV[1] || 3)
weeks = Array.new(shops) { |seed| SimulatedWeek.new(seed + 1).tap { |week| week.run(days) } }
puts "moves without an event: #{weeks.sum(&:still)}"
kinds = weeks.flat_map { |week| week.events.keys }.uniq - [ :taken ]
kinds.each do |kind|
  events, *moved = %i[events moved far apart].map { |name| weeks.sum { |week| week.public_send(name)[kind] } }
  puts format("%-20s %4d events, %6.2f passes of other pieces moved by each, %6.2f by more than a quarter of an " \
              "hour, %5.2f apart from it", kind, events, *moved.map { |count| count.fdiv(events) })
end
puts "better plans taken in the evening: #{weeks.sum { |week| week.events[:taken] }}"
weeks.each do |week|
  (kept, late), (taken, late_taken), (anew, late_anew) = week.against_anew
  puts format("ready in the mean after %.1f h, late %d min; what is offered taken %.1f h, %d min; searched anew " \
              "%.1f h, %d min (%+.1f %%, %+.1f %%)", kept / 60, late, taken / 60, late_taken, anew / 60, late_anew,
              *[ kept, taken ].map { |mean| (mean - anew) / anew * 100 })
end
