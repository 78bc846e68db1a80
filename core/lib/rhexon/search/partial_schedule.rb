module Rhexon
  module Search
    # The one state of a build of a plan while it grows: minutes by pass, and what is still free. Flat arrays, since
    # thousands are made.
    class PartialSchedule
      # What a pin holds.
      Reservation = Struct.new(:who, :tool)

      # @!attribute holds     [Holds, Kept] before which minute passes may not start
      # @!attribute reserved  [Hash{Integer=>Reservation}] by pinned pass
      # @!attribute now       [Integer]
      # @!attribute work_start, first_end, work_end, hands_end [Array<Integer, nil>] by pass
      # @!attribute who       [Array<Integer, nil>] person by pass
      # @!attribute early     [Array<Integer>] coats of its stack in the 24 h before
      # @!attribute scuff     [Array<Array, nil>] [start, end, person, faces] of the scuff before a coat
      # @!attribute stretches [Array<Array, nil>] where a pass pauses
      # @!attribute why       [Array<Symbol>] what fixed the start; :late when hands were away or elsewhere
      # @!attribute asked     [Array<Integer>] minute from which it could have begun
      # @!attribute ends      [Array<Integer>] minute from which each piece is free
      # @!attribute lapsed    [Array<Integer>] passes whose pin could not be kept
      # @!attribute blocked   [Array<Hash>] what stopped a piece: {constraint:, index:}
      attr_reader :model, :holds, :reserved, :now, :start, :work_start, :first_end, :work_end, :hands_end, :who, :early,
                  :scuff, :stretches, :why, :ends, :lanes, :rooms, :lying, :tool_lanes, :tool, :asked, :lapsed,
                  :blocked
      attr_accessor :goal, :order, :ready

      # @param model [Model]
      # @param relaxed [Boolean] for the bound: no scuffs, coats do not slow each other, hands and rooms serve any
      #   number at once
      # @param look_back [Integer, nil] minutes before the last work in which gaps are still filled; nil: all of them
      def initialize(model, holds = Holds::NONE, relaxed: false, look_back: model.look_back)
        @model = model
        @holds = holds
        @look_back = look_back
        @relaxed = relaxed
        @now = model.shop.now
        @reserved = {}
        @lapsed = []
        @blocked = []
        begin_with(model.logged)
        free
        model.logged.occupy(self, model)
      end

      def relaxed? = @relaxed

      # What was only pencilled in.
      # @param range [Range] of passes
      def forget(range)
        [ @start, @work_start, @first_end, @work_end, @hands_end, @scuff ].each do |minutes|
          range.each { |index| minutes[index] = nil }
        end
      end

      # @param work [Integer] minute its work would start
      # @return [Integer] coats of its stack that were laid in the day before
      def earlier_coats(index, work)
        mates = @model.drying.mates[index]
        return 0 if @relaxed || mates.empty?

        mates.count { |mate| (done = @work_end[mate]) && work - done < Planning::Placement::CROWDS_MIN }
      end

      # @return [Integer, nil] minute at which a film below opens
      def open_at(lower, opening) = opening.at(@work_end[lower], @relaxed ? 0 : @early[lower])

      private

      # What the log has fixed stands in every build.
      def begin_with(logged)
        @start, @work_start, @first_end, @work_end, @hands_end = %i[
          hands_start work_start first_end work_end hands_end
        ].map { |name| logged.column(name).dup }
        @early = logged.column(:earlier).dup
        @ends = logged.ends.dup
        @who, @scuff, @stretches, @why, @tool, @asked = Array.new(6) { Array.new(@model.size) }
      end

      def free
        @lanes = @model.hours.map { |hours| Planning::Lane.new(hours, @look_back) }
        @tool_lanes = @model.shop.tools.map { Planning::Lane.new(@model.always, @look_back) }
        @rooms = @model.places.rooms.map { |room| RoomOccupancy.new(room, @model.always, @look_back) }
        @lying = Array.new(@model.pieces.size) { [] }
      end
    end
  end
end
