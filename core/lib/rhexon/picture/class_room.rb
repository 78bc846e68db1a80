module Rhexon
  module Picture
    # A class at work on alike pieces, each person on their own: who is at which step, what dries where, who is behind,
    # and whether the racks hold it.
    class ClassRoom
      # @!attribute piece  [String] id
      # @!attribute person [String, nil]
      # @!attribute states [Array<String>] of each pass of the schedule: done, running, planned
      # @!attribute done   [Integer] passes
      # @!attribute behind [Integer] passes fewer than the middle of the class
      # @!attribute row    [Row, nil] in hand, or next
      # @!attribute dries  [Array(String, Integer, Integer), nil] room, since, until it can be handled
      # @!attribute ready_at [Integer, nil]
      Place = Struct.new(:piece, :person, :states, :done, :behind, :row, :dries, :ready_at, keyword_init: true)
      # @!attribute now  [Integer] pieces that lie there
      # @!attribute most [Integer] that will lie there at once
      # @!attribute at   [Integer] minute of that
      Rack = Struct.new(:room, :places, :now, :most, :at, keyword_init: true)

      # @param plan [Planning::Plan]
      # @param pieces [Array<String>] ids
      def initialize(plan, pieces)
        @plan = plan
        @pieces = pieces & plan.shop.pieces.map(&:id)
      end

      # @return [Array<String>] the passes of the schedule, in working order
      def steps = rows.fetch(@pieces.first, []).map(&:label)

      # @return [Array<Place>] those who are furthest first
      def places
        counts = rows.transform_values { |mine| mine.count { |row| row.status == "done" } }
        middle = counts.values.sort[(counts.size - 1) / 2] || 0
        @pieces.map { |id|
          place(id, counts.fetch(id), middle)
        }.sort_by { |one| [ -one.done, one.person.to_s, one.piece ] }
      end

      # @return [Array<Rack>] of rooms that have one and in which something of the plan lies
      def racks
        ShopPlan.new(@plan).places.filter_map do |place|
          next unless place.rack_places && place.lying.any?

          at, most = place.lying.max_by(&:last)
          now = place.lying.select { |minute, _| minute <= @plan.shop.now }.last&.last || 0
          Rack.new(room: place.room, places: place.rack_places, now: now, most: most, at: at)
        end
      end

      private

      # What the plan puts in between is not a place to be at.
      def rows
        @rows ||= @pieces.to_h { |id|
          [ id, Sheet.new(@plan, id).rows.reject { |row|
            row.inserted || row.hands.empty?
          } ]
        }
      end

      def place(id, done, middle)
        mine = rows.fetch(id)
        Place.new(piece: id, person: @plan.piece(id).by, states: mine.map(&:status), done: done,
                  behind: [ middle - done, 0 ].max, row: mine.find { |row| row.status != "done" }, dries: dries(id),
                  ready_at: @plan.build.ready[id])
      end

      # The film that was laid on last, as long as it cannot be handled.
      def dries(id)
        laid = @plan.of_piece(id).select { |one| one.status == "done" && one.pass.leaves_something? }.max_by(&:work_end)
        till = laid && @plan.drier.reached_at(laid, "handle")
        [ laid.pass.dry_room, laid.work_end, till ] if till && till > @plan.shop.now
      end
    end
  end
end
