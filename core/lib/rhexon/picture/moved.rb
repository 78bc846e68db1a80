module Rhexon
  module Picture
    # Work that the plan had at another time before.
    class Moved
      # @!attribute from, to [Integer] minutes
      # @!attribute person   [String, nil] who does it now, when that is somebody else
      Row = Struct.new(:key, :piece, :words, :from, :to, :person, keyword_init: true)

      # @param plan [Planning::Plan]
      def initialize(plan)
        @plan = plan
      end

      # @param was [Hash{String=>Integer}] minute at which each pass began, where that is not what the plan that is
      #   kept says
      # @return [Array<Row>] in order of the new start
      def since(was)
        before = @plan.shop.previous.transform_values(&:minute).merge(was)
        starts = before.transform_values { |minute| Planning::Start.new(minute) }
        told(Planning::Moves.for(@plan, starts, near_min: 0).select { |move| move.from && move.to })
      end

      # @param moves [Array<Planning::Moves::Move>]
      # @return [Array<Row>] the same in words
      def told(moves)
        moves.map do |move|
          Row.new(key: move.key, piece: move.key.split("/", 2).first, words: rows[move.key]&.label, from: move.from,
                  to: move.to, person: move.person)
        end
      end

      private

      def rows = @rows ||= Bench.new(@plan).rows.to_h { |row| [ row.key, row ] }
    end
  end
end
