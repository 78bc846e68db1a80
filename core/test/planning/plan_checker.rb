require "date"

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
    [
      hands_in_hours, one_thing_at_a_time, skilled, order, waits, parts, windows, turning, dust, rack,
      one_pass_at_a_time, gunned, pauses, coats_a_day, hard_windows, batches, nothing_before_now, arithmetic, bound
    ].flatten.compact
  end

  private

  def minute(text) = DateTime.iso8601(text).to_time.to_i / 60

  def planned = @passes.select { |pass| pass["status"] == "planned" }

  def stretches
    planned.flat_map { |pass|
      pass["hands"].map { |from, to|
        [ minute(from), minute(to), pass["key"], pass["person"] ]
      }
    }.sort
  end

  def hands_in_hours
    open = @plan["open"].transform_values { |hours| hours.map { |from, to| [ minute(from), minute(to) ] } }
    stretches.reject { |from, to, _, person| open.fetch(person).any? { |opens, shuts| opens <= from && to <= shuts } }
      .map { |_, _, key, _| "#{key}: hands outside shop hours" }
  end

  def one_thing_at_a_time
    stretches.group_by(&:last).values.flat_map do |own|
      overlaps(own.map { |from, to, key, _| [ from, to, key ] }, "hands on both")
    end
  end

  def overlaps(spans, what)
    spans.sort.each_cons(2).select { |one, two| two[0] < one[1] }.map do |one, two|
      "#{one[2]} and #{two[2]}: #{what}"
    end
  end

  def skilled
    planned.select { |pass| pass["person"] }.flat_map do |pass|
      step = step(pass)
      person = @shop["people"].find { |found| found["id"] == pass["person"] }
      asked = pass["kind"] == "coat" && step["method"] == "spray" ? "spray" : nil
      own = @shop["pieces"].find { |piece| piece["id"] == pass["piece"] }["by"]
      [
        ("#{pass["key"]}: #{pass["person"]} is not trained for it" if asked && person["skills"] &&
          !person["skills"].include?(asked)),
        ("#{pass["key"]}: is #{own}'s" if own && own != pass["person"])
      ]
    end
  end

  def step(pass)
    @shop["pieces"].find { |piece| piece["id"] == pass["piece"] }["schedule"]["steps"].find { |found|
      found["id"] ==
        pass["step"]
    }
  end

  def planted(pass) = %w[pin log].include?(pass["because"])

  # A face that lies down can be handled; a caught edge is at least dust-safe.
  def turning
    @shop["pieces"].flat_map do |piece|
      next [] unless (piece["schedule"]["support"] || "flat") == "flat"

      sides = piece["faces"].reject { |face| face["kind"] == "edges" }.map { |face| face["id"] }
      mine = @passes.select { |pass| pass["piece"] == piece["id"] }
      mine.select { |pass| !%w[look wait wipe_off scuff].include?(pass["kind"]) && !planted(pass) }
        .flat_map do |pass|
          worked = sides & pass["faces"]
          (worked.size == 1 ? sides - worked : sides).filter_map do |face|
            below = mine.take_while { |other| !other.equal?(pass) }.reverse.find do |other|
              %w[coat stain].include?(other["kind"]) && other["faces"].include?(face)
            end
            if below && below["handle_at"] && [ pass, below ].none? { |found| found["part"] } &&
                minute(pass["work_start"]) < minute(below["handle_at"])
              "#{pass["key"]}: #{face} cannot be handled yet"
            end
          end
        end
    end
  end

  LAID = %w[coat stain fill glaze tone].freeze

  # Whatever part of a coat it is, it waits for what lies under it: the coat before on the same face and pieces.
  def parts
    @passes.select { |pass| LAID.include?(pass["kind"]) }.group_by { |pass| pass["piece"] }.flat_map do |_, laid|
      laid.each_with_index.filter_map do |pass, at|
        below = laid.first(at).reverse.find { |other| under?(other, pass) }
        next if below.nil? || pass["status"] == "done" || below["status"] == "done"

        waited = pass["waits_for"].any? { |wait| wait["pass"] == below["key"] }
        "#{pass["key"]}: does not wait for #{below["key"]}" unless waited
      end
    end
  end

  def under?(below, pass)
    of = ->(one) { one["pieces"] || [ 1, 10_000 ] }
    first, last = of.(pass)
    one, other = of.(below)
    below.values_at("step", "coat") != pass.values_at("step", "coat") && (below["faces"] & pass["faces"]).any? &&
      one <= last && first <= other
  end

  def dust
    abrasions = planned.select { |pass| pass["dry"] }
    films = @passes.select { |pass| pass["kind"] == "coat" && pass["dust_safe_at"] }
    settles = @shop.dig("house", "dust_settles_min") || 30
    abrasions.product(films).filter_map do |rub, film|
      next unless rub["room"] == film["dry_room"] && !planted(rub) && !planted(film)

      if minute(rub["work_start"]) < minute(film["dust_safe_at"]) &&
          minute(film["work_start"]) < minute(rub["hands_end"]) + settles
        "#{rub["key"]}: dust on #{film["key"]}"
      end
    end
  end

  def rack
    @shop["rooms"].select { |room| room["rack_places"] }.flat_map do |room|
      laid = @passes.select do |pass|
        pass["dry_room"] == room["id"] && pass["rack_places"].positive? && pass["status"] == "planned" &&
          !planted(pass)
      end
      lying = laid.flat_map do |pass|
        Range.new(*pass["pieces"]).map { |number| [ minute(pass["work_start"]), off_the_rack(pass, number) ] }
      end
      lying.map(&:first).uniq.filter_map do |at|
        if lying.count { |from, to| from <= at && at < to } > room["rack_places"]
          "#{room["id"]}: rack too full at #{at}"
        end
      end
    end
  end

  # Each of alike pieces lies there until it can be handled, or until it is worked on again.
  def off_the_rack(pass, number)
    later = @passes
      .select { |other|
        other["piece"] == pass["piece"] && Range.new(*other["pieces"]).cover?(number) &&
          minute(other["hands_start"]) >= minute(pass["hands_end"]) && other["hands"].any?
      }
      .map { |other| minute(other["hands_start"]) }
    [ pass["handle_at"] ? minute(pass["handle_at"]) : minute(pass["work_end"]), *later ].min
  end

  # Whoever sprays holds a gun, pinned or not.
  def gunned
    return [] if (@shop["tools"] || []).none? { |tool| tool["for"] == "spray" }

    planned.select { |pass| pass["kind"] == "coat" && step(pass)["method"] == "spray" && pass["tools"].empty? }
      .map { |pass| "#{pass["key"]}: sprays without a gun" }
  end

  # A stretch inside one face is worth beginning.
  def pauses
    planned.select { |pass| pass["hands"].size > 1 && pass["pieces"].uniq.one? }.flat_map do |pass|
      pass["hands"]
        .map { |from, to| minute(to) - minute(from) }
        .select { |length| length < 30 }
        .map { |length| "#{pass["key"]}: a stretch of #{length} min" }
    end
  end

  def coats_a_day
    coats = @passes.select { |pass| pass["kind"] == "coat" && step(pass)["coats_a_day"] && !planted(pass) }
    coats
      .group_by { |pass| [ pass["piece"], pass["step"], pass["faces"], pass["hands_start"][0, 10], pass["pieces"] ] }
      .filter_map do |(piece, step, _, day, _), passes|
        if passes.map { |pass| pass["coat"] }.uniq.size > step(passes.first)["coats_a_day"]
          "#{piece}/#{step}: too many coats on #{day}"
        end
      end
  end

  def one_pass_at_a_time
    rooms = @shop["rooms"].select { |room| (room["uses"] || []).include?("spray") }.flat_map do |room|
      overlaps(
        planned.select { |pass| pass["room"] == room["id"] && pass["person"] }
          .map { |pass| [ minute(pass["hands_start"]), minute(pass["hands_end"]), pass["key"] ] },
        "in one spray room"
      )
    end
    tools = (@shop["tools"] || []).flat_map do |tool|
      overlaps(
        planned.select { |pass| pass["tools"].include?(tool["id"]) }.map do |pass|
          [ minute(pass["hands_start"]), minute(pass["hands_end"]), pass["key"] ]
        end,
        "on one tool"
      )
    end
    [ rooms, tools ]
  end

  # A closing is never longer than its sheet, and all of it falls into one open interval of one person.
  def hard_windows
    @passes.select { |pass| pass["watched"] && pass["status"] == "planned" }.flat_map do |pass|
      from, to = pass["watched"].values_at("from", "to").map { |text| minute(text) }
      open = @plan["open"].fetch(pass["person"]).any? { |opens, shuts| minute(opens) <= from && to <= minute(shuts) }
      lower = @by_key[pass["key"].delete_suffix("/wipe")] if pass["kind"] == "wipe_off"
      [
        ("#{pass["key"]}: the watch is broken by closing time" unless open),
        ("#{pass["key"]}: wiped off too late" if lower &&
          (minute(pass["work_start"]) > minute(lower["work_start"]) + 15 ||
            minute(pass["work_end"]) > minute(lower["work_end"]) + 15))
      ]
    end
  end

  def batches
    @plan["batches"].flat_map do |batch|
      batch["passes"].drop(1).filter_map do |key|
        if batch["usable_until"] && minute(@by_key.fetch(key)["work_end"]) > minute(batch["usable_until"])
          "#{key}: from a pot that has set"
        end
      end
    end
  end

  # Step and coat of each pass as the schedule has them, planned rounds of a loop after its look.
  def written(steps)
    steps.flat_map do |step|
      again = step["again"] || { "steps" => [], "rounds" => 0 }
      looped = steps.select { |other| again["steps"].include?(other["id"]) }
      [ *coats(step, 0), *(1..again["rounds"]).flat_map { |round|
        [ *looped, step ].flat_map { |other| coats(other, round) }
      } ]
    end
  end

  def coats(step, round)
    count = (step["coats"] || 1) * ((step["faces"] || []).tally.values.max || 1)
    (1..count).map { |coat| [ step["id"], round * count + coat ] }
  end

  def order
    @shop["pieces"].flat_map do |piece|
      mine = @passes.select { |pass| pass["piece"] == piece["id"] }
      expected = written(piece["schedule"]["steps"])
      got = mine.reject { |pass| pass["inserted"] }.map { |pass| [ pass["step"], pass["coat"] ] }.uniq
      ranks = mine.reject { |pass| %w[unmask remask].include?(pass["kind"]) }
        .map { |pass| expected.index([ pass["step"], pass["coat"] ]) || -1 }
      [
        ("#{piece["id"]}: passes are not the schedule" unless got == expected || @plan["infeasible"]),
        ("#{piece["id"]}: out of order" unless ranks == ranks.sort)
      ]
    end
  end

  # reached_at is from + sheet · factors / rate, and nothing starts before it.
  def waits
    @passes.reject { |pass| %w[pin log].include?(pass["because"]) }.flat_map do |pass|
      pass["waits_for"].flat_map do |wait|
        rates = @plan["rates"].fetch(@by_key.fetch(wait["pass"])["dry_room"]).fetch(wait["group"])
        expected = integrated(rates, minute(wait["from"]), wait["sheet_min"] * wait["factors"].values.reduce(1.0, :*))
        [ ("#{pass["key"]}: #{wait["milestone"]} reached #{wait["reached_at"]}, reckoned " \
           "#{expected.round - minute(wait["from"])} min after" if (minute(wait["reached_at"]) - expected).abs >
          1),
          ("#{pass["key"]}: before its " \
           "milestone" if minute(pass[pass["kind"] == "wait" ? "work_end" : "work_start"]) <
            minute(wait["reached_at"])),
          ("#{pass["key"]}: waits from before the end of " \
           "laying" if wait["from"] != @by_key.fetch(wait["pass"])["work_end"]) ]
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
        ("#{pass["key"]}: says over but the plan had no reason" if %w[over too_soon].include?(window["state"]) &&
          !%w[pin log].include?(pass["because"])),
        ("#{pass["key"]}: scuffed without an abrasion" if window["state"] == "scuffed" && !abraded?(pass)) ]
    end
  end

  def abraded?(pass)
    below = @by_key.fetch(pass["window"]["of"])
    valid = @shop.dig("house", "scuff_valid_min") || 1440
    rubs = @passes.select do |other|
      other["dry"] && other["piece"] == pass["piece"] && minute(other["hands_start"]) >= minute(below["work_end"]) &&
        minute(other["hands_end"]) <= minute(pass["work_start"]) &&
        minute(pass["work_start"]) - minute(other["hands_end"]) <= valid
    end
    ((pass["faces"] & below["faces"]) - rubs.flat_map { |other| other["faces"] }).empty?
  end

  def nothing_before_now
    now = minute(@shop["now"])
    planned.select { |pass| minute(pass["hands_start"]) < now }.map { |pass| "#{pass["key"]}: planned in the past" }
  end

  def arithmetic
    @passes.flat_map do |pass|
      times = %w[hands_start work_start first_end work_end hands_end].map { |name| minute(pass[name]) }
      off_grid =
        pass["status"] == "planned" && pass["kind"] != "wait" && pass["kind"] != "scuff" && times.first % 5 != 0
      range = [ pass["earliest"], pass["hands_start"], pass["latest"] ].map { |text| minute(text) }
      [
        ("#{pass["key"]}: times out of order" unless times == times.sort),
        ("#{pass["key"]}: off the grid" if off_grid),
        ("#{pass["key"]}: outside its own range" unless range == range.sort)
      ]
    end
  end

  def bound
    ready = @plan["pieces"].filter_map { |piece| piece["ready_at"] }.map { |text| minute(text) }.max
    "bound after the plan" if ready && minute(@plan["bound"]["ready_at"]) > ready && @plan["infeasible"].nil?
  end
end
