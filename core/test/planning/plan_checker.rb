# Checks a plan from its JSON alone, by its own arithmetic: it shares no code with the planner.
class PlanChecker
  def initialize(shop, plan)
    @shop = shop
    @plan = plan
    @passes = plan["passes"]
    @by_key = @passes.to_h { |pass| [ pass["key"], pass ] }
  end

  # @return [Array<String>] what is wrong
  def faults
    [ hands_in_hours, one_thing_at_a_time, order, waits, windows, nothing_before_now, arithmetic, bound ].flatten.compact
  end

  private

  def minute(text) = DateTime.iso8601(text).to_time.to_i / 60

  def planned = @passes.select { |pass| pass["status"] == "planned" }

  def stretches = planned.flat_map { |pass| pass["hands"].map { |from, to| [ minute(from), minute(to), pass["key"] ] } }.sort

  def hands_in_hours
    open = @plan["open"].values.flatten(1).map { |from, to| [ minute(from), minute(to) ] }
    stretches.reject { |from, to, _| open.any? { |opens, shuts| opens <= from && to <= shuts } }.map { |_, _, key| "#{key}: hands outside shop hours" }
  end

  def one_thing_at_a_time
    stretches.each_cons(2).select { |one, two| two[0] < one[1] }.map { |one, two| "#{one[2]} and #{two[2]}: hands on both" }
  end

  def order
    @shop["pieces"].flat_map do |piece|
      steps = piece["schedule"]["steps"].map { |step| step["id"] }
      mine = @passes.select { |pass| pass["piece"] == piece["id"] }
      expected = piece["schedule"]["steps"].flat_map { |step| (1..(step["coats"] || 1)).map { |coat| [ step["id"], coat ] } }
      got = mine.reject { |pass| pass["inserted"] }.map { |pass| [ pass["step"], pass["coat"] ] }.uniq
      ranks = mine.map { |pass| [ steps.index(pass["step"]), pass["coat"] ] }
      [ ("#{piece["id"]}: passes are not the schedule" unless got == expected || @plan["infeasible"]), ("#{piece["id"]}: out of order" unless ranks == ranks.sort) ]
    end
  end

  # reached_at is from + sheet · factors / rate, and nothing starts before it.
  def waits
    @passes.reject { |pass| %w[pin log].include?(pass["because"]) }.flat_map do |pass|
      pass["waits_for"].flat_map do |wait|
        rates = @plan["rates"].fetch(@by_key.fetch(wait["pass"])["room"]).fetch(wait["group"])
        expected = integrated(rates, minute(wait["from"]), wait["sheet_min"] * wait["factors"].values.reduce(1.0, :*))
        [ ("#{pass["key"]}: #{wait["milestone"]} reached #{wait["reached_at"]}, reckoned #{expected.round - minute(wait["from"])} min after" if (minute(wait["reached_at"]) - expected).abs > 1),
          ("#{pass["key"]}: before its milestone" if minute(pass[pass["kind"] == "wait" ? "work_end" : "work_start"]) < minute(wait["reached_at"])),
          ("#{pass["key"]}: waits from before the end of laying" if wait["from"] != @by_key.fetch(wait["pass"])["work_end"]) ]
      end
    end
  end

  # Walks through the rates until the reference minutes are used up.
  def integrated(rates, from, needed)
    knots = rates.map { |instant, rate| [ minute(instant), rate ] }
    knots.each_with_index do |(since, rate), index|
      till = knots[index + 1]&.first
      next if till && till <= from

      begun = index.zero? ? from : [ since, from ].max
      return begun + needed / rate if till.nil? || needed <= (till - begun) * rate

      needed -= (till - begun) * rate
    end
  end

  def windows
    @passes.select { |pass| pass["window"] }.flat_map do |pass|
      window = pass["window"]
      start = minute(pass["work_start"])
      over = window["closes_at"] && start > minute(window["closes_at"])
      [ ("#{pass["key"]}: over without a scuff" if over && window["state"] == "open"),
        ("#{pass["key"]}: says over but the plan had no reason" if %w[over too_soon].include?(window["state"]) && !%w[pin log].include?(pass["because"])),
        ("#{pass["key"]}: scuffed without an abrasion" if window["state"] == "scuffed" && !abraded?(pass)) ]
    end
  end

  def abraded?(pass)
    lower = minute(@by_key.fetch(pass["window"]["of"])["work_end"])
    @passes.any? do |other|
      other["dry"] && other["piece"] == pass["piece"] && (pass["faces"] - other["faces"]).empty? && minute(other["hands_start"]) >= lower &&
        minute(other["hands_end"]) <= minute(pass["work_start"]) && minute(pass["work_start"]) - minute(other["hands_end"]) <= 1440
    end
  end

  def nothing_before_now
    now = minute(@shop["now"])
    planned.select { |pass| minute(pass["hands_start"]) < now }.map { |pass| "#{pass["key"]}: planned in the past" }
  end

  def arithmetic
    @passes.flat_map do |pass|
      times = %w[hands_start work_start first_end work_end hands_end].map { |name| minute(pass[name]) }
      off_grid = pass["status"] == "planned" && pass["kind"] != "wait" && pass["kind"] != "scuff" && times.first % 5 != 0
      range = [ pass["earliest"], pass["hands_start"], pass["latest"] ].map { |text| minute(text) }
      [ ("#{pass["key"]}: times out of order" unless times == times.sort), ("#{pass["key"]}: off the grid" if off_grid), ("#{pass["key"]}: outside its own range" unless range == range.sort) ]
    end
  end

  def bound
    ready = @plan["pieces"].filter_map { |piece| piece["ready_at"] }.map { |text| minute(text) }.max
    "bound after the plan" if ready && minute(@plan["bound"]["ready_at"]) > ready && @plan["infeasible"].nil?
  end
end
