module Rhexon
  module Picture
    # Work that the plan had at another time before.
    class Moved
      # @!attribute from, to [Integer] minutes
      # @!attribute person   [String, nil] who does it now, when that is somebody else
      Row = Struct.new(:key, :piece, :words, :from, :to, :person, keyword_init: true)

      # @param plan [Planning::Plan]
      # @param was [Hash{String=>Integer}] minute at which each pass began, where that is not what the plan that is
      #   kept says
      def initialize(plan, was)
        @plan = plan
        @was = was
      end

      # @return [Array<Row>] in order of the new start
      def rows
        before = @plan.shop.previous.transform_values(&:minute).merge(@was)
        moved = Planning::Moves.for(@plan, before.transform_values { |minute|
          Planning::Start.new(minute)
        }, near_min: 0)
          .select { |move| move.from && move.to }
        moved.map do |move|
          Row.new(key: move.key, piece: move.key.split("/", 2).first, words: labels[move.key], from: move.from,
                  to: move.to, person: move.person)
        end
      end

      private

      def labels = @labels ||= Bench.new(@plan).rows.to_h { |row| [ row.key, row.label ] }
    end
  end
end
