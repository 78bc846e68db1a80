module Rhexon
  module Search
    # One build of a plan while it grows: minutes by pass, and what is still free. Flat arrays, since thousands are
    # made.
    class PartialSchedule
      # @!attribute work_start, first_end, work_end, hands_end [Array<Integer, nil>] by pass
      # @!attribute who       [Array<Integer, nil>] person by pass
      # @!attribute early     [Array<Integer>] coats of its stack in the 24 h before
      # @!attribute scuff     [Array<Array, nil>] [start, end, person, faces] of the scuff before a coat
      # @!attribute stretches [Array<Array, nil>] where a pass pauses
      # @!attribute why       [Array<Symbol>] what fixed the start; :late when hands were away or elsewhere
      # @!attribute asked     [Array<Integer>] minute from which it could have begun
      # @!attribute blocked   [Array<Hash>] what stopped a piece: {constraint:, index:}
      attr_reader :start, :work_start, :first_end, :work_end, :hands_end, :who, :early, :scuff, :stretches, :why, :ends,
                  :lanes, :floors, :lying, :tool_lanes, :tool, :asked, :lapsed, :blocked
      attr_accessor :goal, :order, :holds, :ready

      # @param model [Model]
      def initialize(model)
        @model = model
        logged = model.logged
        @start, @work_start, @first_end, @work_end, @hands_end = %i[
          hands_start work_start first_end work_end hands_end
        ].map { |name| logged.column(name).dup }
        @early = logged.column(:earlier).dup
        @who = Array.new(model.size)
        @scuff = Array.new(model.size)
        @stretches = Array.new(model.size)
        @why = Array.new(model.size)
        @tool = Array.new(model.size)
        @asked = Array.new(model.size)
        @lapsed = []
        @blocked = []
        @ends = logged.ends.dup
        @lanes = model.hours.map { |hours| Planning::Lane.new(hours, model.look_back) }
        @tool_lanes = model.shop.tools.map { Planning::Lane.new(model.always, model.look_back) }
        @floors = model.rooms.map { |room| RoomOccupancy.new(room, model.always, model.look_back) }
        @lying = Array.new(model.pieces.size) { [] }
        logged.occupy(self, model)
      end

      # What was only pencilled in.
      # @param range [Range] of passes
      def forget(range)
        [ @start, @work_start, @first_end, @work_end, @hands_end, @scuff ].each do |minutes|
          range.each { |index| minutes[index] = nil }
        end
      end
    end
  end
end
