module Rhexon
  module Picture
    # Whether a room is kept warm over night: what that is worth in minutes of tomorrow, for the work that waits for
    # what dries in it.
    class NightAir
      # @!attribute room    [String]
      # @!attribute set_c, held_c [Float] °C: as low as it is set to fall, and as it is at closing
      # @!attribute work    [String] what waits for it first
      # @!attribute piece   [String] id
      # @!attribute set_at, held_at [Integer] minute from which that may go on, as set and held
      # @!attribute minutes [Integer] of tomorrow's open hours that holding it gains; 0: nothing
      Answer = Struct.new(:room, :set_c, :held_c, :work, :piece, :set_at, :held_at, :minutes, keyword_init: true)

      # A room that falls by less is as warm in the morning.
      FALLS_C = 1.0
      # The air is told so far on, and so far back that what dries now was laid in it, days.
      DAYS, BACK = 4, 14
      private_constant :FALLS_C, :DAYS, :BACK

      # @param plan [Planning::Plan]
      # @param closes [Integer] minute of tonight's closing
      # @param opens [Integer] minute at which hands are there again
      def initialize(plan, closes, opens)
        @plan = plan
        @closes = closes
        @opens = opens
      end

      # @return [Array<Answer>] of rooms that fall over night while something dries in them
      def answers = @plan.shop.rooms.each_value.filter_map { |room| answer(room) }

      private

      def answer(room)
        low = coldest(room.line)
        held = room.line.at(@closes - 1) # the heater goes down as hands leave
        return if held.t_c - low < FALLS_C

        waits = waits(@plan, room.id)
        return if waits.empty?

        warm = waits(warmer(room, held), room.id).to_h { |wait| [ wait[:key], wait[:at] ] }
        best = waits.max_by { |wait| gain(wait[:at], warm[wait[:key]]) }
        Answer.new(room: room.id, set_c: low, held_c: held.t_c, work: best[:work], piece: best[:piece],
                   set_at: best[:at], held_at: warm[best[:key]], minutes: gain(best[:at], warm[best[:key]]))
      end

      def coldest(line) = line.between(@closes, @opens).map { |climate| climate.t_c }.min

      # Minutes in which hands are there between two moments from which it may go on.
      def gain(set_at, held_at)
        from, to = [ held_at || set_at, set_at ].map { |minute| [ minute, @opens ].max }
        return 0 unless from < to

        @plan.shop.open_between(from, to).sum { |opens, closes| [ closes, to ].min - [ opens, from ].max }
      end

      # Work that waits tomorrow for what dries in the room tonight.
      def waits(plan, room)
        plan.placements.select { |one| one.status == "planned" && one.hands_start >= @closes }.filter_map do |one|
          wait = one.waits.select { |other| dries_tonight?(plan, other, room) }.max_by { |other| other.reached_at || 0 }
          next unless wait&.reached_at && wait.reached_at < @opens + 1440

          { key: one.pass.key, at: wait.reached_at, piece: one.pass.piece.id,
            work: Schedule::Words.step(one.pass.step, one.pass.product&.name) }
        end
      end

      def dries_tonight?(plan, wait, room)
        below = plan.build.by_index[wait.pass.index]
        below && wait.pass.dry_room == room && below.work_end <= @closes && (wait.reached_at || 0) > @closes
      end

      # The same shop with the air at closing held until the morning. What is done stays done.
      def warmer(room, held)
        line = room.line
        before = minutes(line, @plan.shop.now - BACK * 1440, @closes)
        after = minutes(line, @opens, @opens + DAYS * 1440)
        known = [ before, after ].map { |all| all.map { |minute| [ minute, line.at(minute) ] } }
        climate = entries([ *known.first, [ @closes, held ], *known.last ])
        Search::Planner.plan(@plan.shop.with_rooms(room.id => { "climate" => climate }))
      end

      # Minutes at which the air changes, the first one included.
      def minutes(line, from, to)
        found = [ from ]
        while (following = line.change_after(found.last)) && following < to
          found << following
        end
        found
      end

      def entries(steps)
        zone = @plan.shop.zone
        froms = steps.map { |minute, _| zone.iso(minute) }
        steps.each_index.map do |index|
          air = steps[index].last
          { "from" => froms[index], "until" => froms[index + 1], "t_c" => air.t_c, "rh" => air.rh,
            "air" => air.air }.compact
        end
      end
    end
  end
end
