module Rhexon
  module Checks
    module Rules
      # prep.moisture, prep.uneven, prep.unmeasured: what moisture readings say. Silent without a measure of moisture,
      # on sheet goods (they read unreliably), and where enough readings are near what the wood comes to.
      module PrepMoisture
        SHEET = %w[mdf_face mdf_edge].freeze

        module_function

        def call(context)
          piece = context.piece
          return [] if piece.faces.keys.all? { |face| SHEET.include?(piece.wood(face)) }

          context.placements
            .select { |one| one.pass.kind == "measure" && one.pass.step["way"] == "moisture" }
            .filter_map { |one| finding(context, one) }.last(1)
        end

        def finding(context, measure)
          readings = context.shop.facts[measure.pass.key]&.readings
          return planned(context, measure) if readings.nil?

          verdict = Prep::Moisture.of(context.piece, readings)
          verdict && SAYS.key?(verdict.says) && said(context, measure, verdict, readings)
        end

        def area(context) = context.piece.area_m2(context.piece.faces.keys)

        # id, level, title
        SAYS = {
          "wet" => [ "prep.moisture", "stop", "Too wet to finish" ],
          "unmeasured" => [ "prep.unmeasured", "caution", "Too few readings" ],
          "uneven" => [ "prep.uneven", "caution", "Unevenly dry" ],
          "off" => [ "prep.moisture", "caution", "Not yet at rest with its place" ]
        }.freeze

        def said(context, measure, verdict, readings)
          id, level, title = SAYS.fetch(verdict.says)
          context.finding(
            id, level, title,
            "#{counted(readings.size)}, #{verdict.mean.round(1)} % in the mean, #{verdict.spread.round(1)} apart; in " \
            "#{place(context.piece)} wood comes to #{verdict.target.round(1)} %. #{WHAT_NOW.fetch(verdict.says)}",
            placement: measure, figures: { mean_percent: verdict.mean, target_percent: verdict.target }
          )
        end

        WHAT_NOW = {
          "wet" => "Let it dry before anything is laid on.", "unmeasured" => "Read at least three places.",
          "uneven" => "Let it even out, and read it again.", "off" => "Let it rest where it will live."
        }.freeze

        def place(piece)
          air = Prep::Moisture.air_of(piece)
          said = "#{format("%g", air["t_c"])} °C and #{format("%g", air["rh"])} %"
          piece.place_air ? "the air where it will live, #{said}," : "a room of #{said}"
        end

        def counted(count) = "#{count} #{count == 1 ? "reading" : "readings"}"

        def planned(context, measure)
          rule = Reference.limits.moisture
          count = measure.pass.step["readings"] || rule.least_readings
          return if count >= rule.least_readings || area(context) < rule.small_part_m2 || measure.status != "planned"

          context.finding(
            "prep.unmeasured", "note", "Too few readings",
            "#{count} #{count == 1 ? "reading does" : "readings do"} not tell how dry a piece is: three are the least.",
            placement: measure,
            remedies: [ context.change(measure, "Read three places", { "readings" => rule.least_readings.to_i }) ]
          )
        end
      end
    end
  end
end
