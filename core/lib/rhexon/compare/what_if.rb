module Rhexon
  module Compare
    # What would become of a piece's date, and of the chance to keep it where it has one: before all other work, with a
    # second pair of hands, warmer, drier, with fans, an hour longer each day, on a Saturday, in another room, laid on
    # otherwise, with another product, with a coat less.
    # Each is planned anew for the whole shop, at equal effort; the air changes from now on, what dries already dried
    # in the air that was.
    class WhatIf
      # @!attribute kind      [String] first, second, warmer, drier, fans, longer, saturday, or change
      # @!attribute operation [Hash, nil] of Schedule::Edit; nil where the shop's air or hours are to be changed
      # @!attribute gain_min  [Integer, nil] minutes earlier (negative: later); nil when there is no date
      # @!attribute chance    [Float, nil] 0 to 1, to be ready when it is due; nil when nothing is due
      Answer = Struct.new(:kind, :label, :ready_at, :gain_min, :hands_min, :film_um, :operation, :chance,
                          keyword_init: true)
      # Enough to tell nine of ten from seven.
      RUNS = 100
      private_constant :RUNS
      # How far back the air is kept, and how far ahead it is changed hour by hour.
      PAST_MIN = 20 * 1440

      # @param plan [Plan]
      # @param piece_id [String]
      # @return [Array<Answer>] those that change the date: order, air, hours, then the schedule; with a due date what
      #   gives it the best chance first
      def self.for(plan, piece_id) = new(plan, piece_id).answers

      def initialize(plan, piece_id)
        @plan = plan
        @id = piece_id
        @context = Checks::Context.new(plan, piece_id)
      end

      def answers
        if @plan.queues.fetch(@id).all? { |pass|
          placed = @plan.build.by_index[pass.index] and placed.status != "planned"
        }
          return []
        end

        told = (hands + air + hours + changes).reject { |answer| answer.gain_min&.zero? }
        due ? told.sort_by.with_index { |answer, at| [ -answer.chance, at ] } : told
      end

      private

      def shop = @plan.shop
      def limits = Reference.limits.what_if

      def due = @plan.piece(@id).due

      # The same air and hours, and nothing in the way.
      def hands
        alone = shop.pieces.size > 1 ? shop.without(shop.pieces.map(&:id) - [ @id ]) : nil
        [ [ "first", "Before all other work", alone ],
          [ "second", "A second pair of hands", shop.with_second_hands ] ].filter_map do |kind, label, other|
          other && searched(kind, label, other)
        end
      end

      def air
        rooms = @plan.of_piece(@id)
          .select { |placement| placement.milestones }
          .map { |placement| placement.pass.dry_room }.uniq
        return [] if rooms.empty?

        where = rooms.one? ? "in the #{rooms.first}" : "in its rooms"
        {
          "warmer" => [ "#{limits.warmer_c} °C warmer #{where}", method(:warmer) ],
          "drier" => [ "#{limits.drier_percent} % drier #{where}", method(:drier) ],
          "fans" => [ "Fans on #{where}", method(:fanned) ]
        }.map do |kind, (label, change)|
          searched(kind, label, shop.with_rooms(rooms.to_h { |room| [ room, otherwise(shop.line(room), change) ] }))
        end
      end

      def hours
        [ [ "longer", "An hour longer each day", ->(week) { week.transform_values { |spans| longer(spans) } } ],
          [
            "saturday", "Saturdays #{limits.saturday.join(" to ")}",
            ->(week) { week["sat"].to_a.any? ? week : week.merge("sat" => [ limits.saturday ]) }
          ] ].map do |kind, label, change|
          searched(kind, label, shop.with_weeks(&change))
        end
      end

      def longer(spans)
        return spans if spans.empty?

        from, till = spans.last
        hours, minutes = till.split(":").map(&:to_i)
        later = format("%02d:%02d", *(hours * 60 + minutes + limits.longer_min).divmod(60))
        [ *spans[0..-2], [ from, [ till, [ later, limits.latest_close ].min ].max ] ]
      end

      def changes
        remedies = Checks::Alternatives.rooms(@context) + Checks::Alternatives.fewer(@context) +
          Checks::Alternatives.methods(@context) + Checks::Alternatives.products(@context)
        remedies.filter_map do |remedy|
          plan = @plan.with_schedule(@id, Schedule::Edit.apply(@context.document, remedy.operation))
          unless Checks::Catalogue.findings(plan, @id).any? { |finding| finding.level == "stop" }
            answer("change", remedy.label, remedy.operation, plan)
          end
        rescue InvalidInput
          nil
        end
      end

      # Another shop is planned anew, and held against this one planned anew: what the search alone would gain is no
      # answer to the question.
      def searched(kind, label, other)
        answer(kind, label, nil, Search::Planner.plan(other.searched), base)
      end

      def base = @base ||= shop.kept? ? Search::Planner.plan(shop.searched) : @plan

      def answer(kind, label, operation, plan, against = @plan)
        ready = plan.build.ready[@id]
        now = against.build.ready[@id]
        Answer.new(kind: kind, label: label, operation: operation, ready_at: ready,
                   gain_min: ready && now && now - ready, hands_min: plan.hands_min(@id),
                   chance: due && (ready ? Chance::Outlook.new(plan, runs: RUNS).share_by(@id, due).round(2) : 0.0),
                   film_um: plan.piece(@id).faces.keys.map { |face| plan.film(@id, face).final.total_um }.max.round)
      end

      # The air of a room with everything from now on changed.
      # @return [Hash] "climate" and "daily" of rhexon-shop/1
      def otherwise(line, change)
        {
          "climate" => spans(line, shop.now - PAST_MIN, shop.now, &:itself) +
            spans(line, shop.now, shop.now + PAST_MIN, &change),
          "daily" => [ { "at" => "00:00", **entry(change.call(line.at(shop.now + PAST_MIN))) } ]
        }
      end

      def spans(line, from, till)
        list = []
        while from && from < till
          following = [ line.change_after(from) || till, till ].min
          list <<
            { "from" => shop.zone.iso(from), "until" => shop.zone.iso(following), **entry(yield(line.at(from))) }
          from = following
        end
        list
      end

      def entry(climate) = { "t_c" => climate.t_c, "rh" => climate.rh, "air" => climate.air }

      # Heated air holds the same water: its relative humidity falls.
      def warmer(climate)
        t_c = climate.t_c + limits.warmer_c
        Drying::Climate.new(
          t_c: t_c,
          rh: (climate.rh * Drying::Air.saturation_kpa(climate.t_c) / Drying::Air.saturation_kpa(t_c)).clamp(1, 100),
          air: climate.air
        )
      end

      def drier(climate)
        Drying::Climate.new(
          t_c: climate.t_c,
          rh: [ climate.rh - limits.drier_percent, [ limits.least_rh, climate.rh ].min ].max,
          air: climate.air
        )
      end

      def fanned(climate)
        Drying::Climate.new(t_c: climate.t_c, rh: climate.rh, air: climate.air == "cabinet" ? "cabinet" : "moving")
      end
    end
  end
end
