require "time"

# Seeded random shops: few pieces, all kinds of step, odd hours and air. For tests that hold for any shop.
module RandomShops
  # @param most [Integer] pieces
  # @param steps [Range] of each
  def random_shop(random, most: 4, steps: 2..8)
    pieces = Array.new(random.rand(1..most)) { |index| random_piece(random, "p#{index}", steps) }
    week = %w[mon tue wed thu fri sat].first(random.rand(3..6)).to_h do |day|
      [
        day,
        [
          [ [ "07:30", "12:00" ], [ "12:30", "16:30" ] ], [ [ "08:00", "17:00" ] ], [ [ "13:00", "18:30" ] ]
        ].sample(random: random)
      ]
    end
    shop_json(
      *pieces,
      now: format("2026-%02d-%02dT%02d:%02d+01:00", random.rand(1..3), random.rand(1..28), random.rand(6..15),
                  random.rand(60)),
      week: week, except: [ { "date" => "2026-03-16", "open" => [] } ], seed: random.rand(99),
      rooms: random_rooms(random),
      house: {
        "dust_settles_min" => [ 0, 30 ].sample(random: random),
        "scuff" => %w[none always after_a_night].sample(random: random),
        "rub_out" => %w[cautious usual brisk].sample(random: random)
      }
    )
  end

  # Steady air, or heated by day, or known hour by hour for two days.
  def random_rooms(random)
    air = -> {
      {
        "t_c" => random.rand(8..26), "rh" => random.rand(30..75),
        "air" => %w[still ordinary moving].sample(random: random)
      }
    }
    daily = [ { "at" => "06:00", **air.call }, { "at" => "18:00", **air.call } ]
    hours = Array.new(48) do |hour|
      { "from" => format("2026-02-%02dT%02d:00+01:00", 10 + hour / 24, hour % 24), **air.call }
    end
    [
      {
        "id" => "bench",
        **[
          { "climate" => [ air.call ] }, { "daily" => daily }, { "climate" => hours, "daily" => daily }
        ].sample(random: random)
      }
    ]
  end

  # The same with two or three people, some of them trained, rooms of their own for dust and spray, a rack, one gun,
  # faces in turn and hard windows.
  def random_workshop(random, **size)
    shop = random_shop(random, **size)
    week = shop["people"].first["week"]
    late = week.transform_values { [ %w[11:00 19:30] ] }
    people = [
      { "id" => "imke", "week" => week, "skills" => [ "spray" ] },
      { "id" => "osei", "week" => [ week, late ].sample(random: random), "skills" => [] },
      { "id" => "wren", "week" => late }
    ].first(random.rand(2..3))
    air = shop["rooms"].first.except("id")
    rooms = [
      { "id" => "bay", "uses" => [ "sand" ], **air },
      { "id" => "bench", "uses" => %w[spray finish], "rack_places" => [ nil, 4, 6 ].sample(random: random), **air }
    ]
    pieces = shop["pieces"].map { |piece| turned(random, piece, people) }
    shop.merge("people" => people, "rooms" => random.rand(3).zero? ? shop["rooms"] : rooms,
               "tools" => [ { "id" => "gun", "for" => "spray" } ].first(random.rand(2)), "pieces" => pieces)
  end

  def turned(random, piece, people)
    faces = [
      *piece["faces"], { "id" => "back", "kind" => "back", "area_m2" => 0.4 },
      { "id" => "edges", "kind" => "edges", "area_m2" => 0.1 }
    ].first(random.rand(1..3))
    steps = piece["schedule"]["steps"].map { |step| hardened(random, step) }
    piece.merge(
      "faces" => faces, "count" => random.rand(1..4), "by" => random.rand(5).zero? ? people.first["id"] : nil,
      "schedule" => piece["schedule"].merge("support" => %w[flat points hung].sample(random: random), "steps" => steps)
    )
  end

  def hardened(random, step)
    case step["kind"]
    when "stain" then step.merge("product" => "umber", "wipe_off" => random.rand(2).zero?)
    when "coat" then step["product"] == "lacquer" && random.rand(3).zero? ? step.merge("one_batch" => true) : step
    else step
    end
  end

  # Where planners have gone wrong: films that dry elsewhere than they are laid, faces sanded by themselves, scuffs
  # before every coat, many pieces on few places, pins, one gun, faces that take longer than a day, so many coats a
  # day, films to be levelled after a night, and people who are there for an hour.
  def random_trouble(random)
    shop = random_workshop(random, most: 3, steps: 2..6)
    shop["rooms"] <<
      {
        "id" => "loft", "uses" => [ "dry" ], "rack_places" => [ nil, 14 ].sample(random: random),
        "climate" => [ { "t_c" => random.rand(12..24), "rh" => 50, "air" => "ordinary" } ]
      }
    warm = [ { "t_c" => random.rand(16..24), "rh" => 50, "air" => "ordinary" } ]
    unless random.rand(4).zero?
      shop["rooms"] = shop["rooms"].map { |room|
        room.merge("rack_places" => room["rack_places"] && 14, "climate" => warm).except("daily")
      }
    end
    rooms = shop["rooms"].map { |room| room["id"] }
    pieces = shop["pieces"].map { |piece| troubled(random, piece, rooms, shop["now"]) }
    people = shop["people"].map do |person|
      if random.rand(4).zero?
        person.merge("week" => person["week"].transform_values { [ %w[08:00 09:00], %w[15:00 16:30] ] })
      else
        person
      end
    end
    wanted(random, pieces, shop["now"])
    shop.merge("pieces" => pieces, "people" => people, "products" => SOFT,
               "house" => shop["house"].merge("scuff_valid_min" => [ 1440, 240 ].sample(random: random)),
               "tools" => [ { "id" => "gun", "for" => "spray" } ])
  end

  # Some have a date, some go before others.
  def wanted(random, pieces, now)
    pieces.each do |piece|
      piece["priority"] = [ "urgent", "when_time", "normal", nil ].sample(random: random)
      piece["due"] = (Time.parse(now) + random.rand(1..12) * 86_400).utc.strftime("%FT%H:%MZ") if random.rand(2).zero?
    end
  end

  SOFT = ShopHelper::PRODUCTS.map { |record|
    record["id"] ==
      "catalysed" ? record.merge("milestones_min" => { "soft_earliest" => 720, "soft_latest" => 1080 }) : record
  }.freeze

  def troubled(random, piece, rooms, now)
    steps = piece["schedule"]["steps"].map do |step|
      if %w[coat stain].include?(step["kind"]) && random.rand(2).zero?
        step = step.merge("dry_room" => rooms.sample(random: random))
      end
      if %w[sand level].include?(step["kind"]) && random.rand(2).zero?
        step = step.merge("faces" => [ piece["faces"].sample(random: random)["id"] ])
      end
      step = step.merge("while_soft" => true) if step["kind"] == "level" && random.rand(3).zero?
      if step["kind"] == "coat" && !step["one_batch"] && random.rand(4).zero?
        step = step.merge("coats_a_day" => random.rand(1..2))
      end
      if step["kind"] == "coat" && random.rand(6).zero?
        step.merge("pins" => [
                     {
                       "coat" => 1,
                       "start" => (Time.parse(now) + random.rand(1..9) * 86_400).strftime(
                         "%FT#{format("%02d", random.rand(8..15))}:00+01:00"
                       )
                     }
                   ])
      else
        step
      end
    end
    faces = piece["faces"].map { |face| random.rand(10).zero? ? face.merge("area_m2" => random.rand(14..28)) : face }
    document = piece["schedule"].merge("steps" => steps,
                                       "house" => { "scuff" => %w[none always].sample(random: random) })
    piece.merge("faces" => faces, "count" => random.rand(5).zero? ? random.rand(8..14) : piece["count"],
                "schedule" => random.rand(3).zero? ? document.except("support") : document)
  end

  def random_piece(random, id, count = 2..8)
    steps = Array.new(random.rand(count)) { |index| random_step(random, "s#{index}") }
    steps << random_loop(random, steps) if random.rand(4).zero?
    piece(document(*steps), id: id, count: random.rand(1..6), area_m2: random.rand(0.2..2.5).round(2),
                            wood: %w[open closed].sample(random: random))
  end

  def random_step(random, id)
    case random.rand(10)
    when 0 then step(id, "sand", grits: %w[P150 P180])
    when 1 then step(id, "raise_grain")
    when 2 then step(id, "stain", product: "russet", method: "wipe")
    when 3
      step(id, "level", grits: [ "P320" ], aim: %w[between scuff].sample(random: random),
                        removes_um: random.rand(1..5))
    when 4 then step(id, "wait", minutes: random.rand(10..900))
    when 5 then step(id, "look")
    when 6 then random_other(random, id)
    else random_coat(random, id)
    end
  end

  # The last steps once or twice more.
  def random_loop(random, steps)
    again = { "steps" => steps.last(2).map { |step| step["id"] }, "rounds" => random.rand(0..2), "most" => 3 }
    step("s#{steps.size}", "look", again: again)
  end

  def random_other(random, id)
    [
      step(id, "clean", way: %w[vacuum wash solvent_wipe].sample(random: random)), step(id, "scrape"),
      step(id, "strip", way: %w[scraping stripper].sample(random: random)), step(id, "mend", way: "putty", spots: 3),
      step(id, "rub_out", grits: %w[P800 P1200]), step(id, "measure", way: "moisture"), step(id, "fit")
    ].sample(random: random)
  end

  def random_coat(random, id)
    product, method, wet = [
      [ "w20", "spray", 90 ], [ "seal", "brush", 70 ], [ "lacquer", "spray", 110 ], [ "varnish", "brush", 80 ],
      [ "catalysed", "spray", 100 ]
    ].sample(random: random)
    coat(id, product: product, method: method, wet_um: wet + random.rand(-20..20), coats: random.rand(1..3))
  end
end
