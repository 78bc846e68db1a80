# Made-up shops for the benches, from a seed: the same seed gives the same shop.
module Shops
  WEEK = %w[mon tue wed thu fri].to_h { |day| [ day, [ %w[07:30 12:00], %w[12:30 16:30] ] ] }.freeze
  COATS = [
    [ "w20", "spray", 90 ], [ "catalysed", "spray", 100 ], [ "primer", "brush", 95 ], [ "primer", "brush", 95 ]
  ].freeze
  PRODUCTS = [ { "id" => "w20", "class" => "waterborne_two_part" }, { "id" => "varnish", "class" => "oil_varnish" },
               {
                 "id" => "catalysed", "class" => "acid_catalysed"
               }, { "id" => "primer", "class" => "waterborne_primer" },
               {
                 "id" => "seal", "class" => "shellac"
               }, { "id" => "dye", "class" => "water_dye", "colour" => "tinted" } ].freeze

  module_function

  # Steady air, one room for dust and one for films, no evaporative stacks, work too short to pause: what a plain
  # constraint model can say too.
  # @return [Hash] rhexon-shop/1
  def plain(seed, pieces:, steps:, people: 1, effort: "full", rooms: false, faces: 1)
    random = Random.new(seed)
    made = Array.new(pieces) { |index| piece(random, index, steps, faces) }
    shop(made, people, effort,
         [ room("bay", [ "sand" ]), room("bench", rooms ? %w[spray finish] : [ "finish" ], rooms ? 12 : nil, random) ],
         rooms ? [ { "id" => "gun", "for" => "spray" } ] : [], seed)
  end

  # A shop week: dye, sealer, coats and levelling, a spray room that cools at night.
  def week(pieces, steps: 20, count: 3, people: 1, effort: "quick", seed: 5, by: nil)
    random = Random.new(seed)
    made = Array.new(pieces) do |index|
      {
        "id" => "p#{index}", "count" => count, "by" => by && "h#{by.call(index)}",
        "faces" => [ { "id" => "show", "area_m2" => 0.4 + random.rand(10) / 10.0 } ],
        "schedule" => { "format" => "rhexon-schedule/2", "steps" => week_steps(random, steps) }
      }
    end
    cool = room("spray", %w[spray finish])
      .except("climate")
      .merge("daily" => [ { "at" => "06:00", "t_c" => 20, "rh" => 50 }, { "at" => "18:00", "t_c" => 14, "rh" => 62 } ])
    shop(made, people, effort, [ room("bay", [ "sand" ]), cool ], [], seed)
  end

  def week_steps(random, count)
    middle = Array.new([ count - 8, 0 ].max) do |index|
      if index.even?
        coat("s#{index + 6}", "w20", "spray", 80 + random.rand(40))
      else
        { "id" => "s#{index + 6}", "kind" => "level", "grits" => [ "P320" ], "aim" => "between" }
      end
    end
    [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }, { "id" => "s2", "kind" => "raise_grain" },
      { "id" => "s3", "kind" => "sand", "grits" => [ "P220" ] },
      { "id" => "s4", "kind" => "stain", "product" => "dye", "method" => "wipe" },
      coat("s5", "seal", "brush",
           70), *middle, coat("s90", "w20", "spray",
                              90), {
                                "id" => "s91", "kind" => "look", "milestone" => "handle"
                              }, { "id" => "s92", "kind" => "wait", "minutes" => 60 } ].last(count)
  end

  def piece(random, index, steps, faces)
    sides = [
      { "id" => "show", "area_m2" => (0.5 + random.rand(15) / 10.0).round(1) },
      { "id" => "back", "kind" => "back", "area_m2" => 0.4 }
    ].first(faces)
    {
      "id" => "p#{index}", "faces" => sides,
      "schedule" => { "format" => "rhexon-schedule/2", "steps" => Array.new(steps) { |at| step(random, "s#{at}", at) } }
    }
  end

  def step(random, id, at)
    return { "id" => id, "kind" => "sand", "grits" => %w[P150 P180], "machine" => true } if at.zero?

    case random.rand(8)
    when 0 then { "id" => id, "kind" => "level", "grits" => [ "P320" ], "aim" => "between" }
    when 1 then { "id" => id, "kind" => "look" }
    else coat(id, *COATS[random.rand(COATS.size)])
    end
  end

  def coat(id, product, method, wet)
    {
      "id" => id, "kind" => "coat", "product" => product, "method" => method, "wet_um" => wet, "coats" => 1,
      "role" => "build"
    }
  end

  def room(id, uses, places = nil, random = nil)
    {
      "id" => id, "uses" => uses, "rack_places" => places,
      "climate" => [ { "t_c" => random ? 17 + random.rand(6) : 20, "rh" => random ? 45 + random.rand(15) : 50 } ]
    }
  end

  def shop(pieces, people, effort, rooms, tools, seed)
    { "format" => "rhexon-shop/1", "now" => "2026-11-23T07:30+01:00", "zone" => "Europe/Berlin", "effort" => effort,
      "seed" => seed, "house" => { "dust_settles_min" => 0 },
      "people" => Array.new(people) { |index|
        { "id" => "h#{index}", "week" => WEEK }
      }, "rooms" => rooms, "tools" => tools, "products" => PRODUCTS, "pieces" => pieces }
  end
end
