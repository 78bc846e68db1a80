module Rhexon
  module Boards
    # Several touches of an instrument on one surface, brought to one reading.
    module ReplicateReadings
      module_function

      # @return [Integer] touches a reading is made of
      def count = Reference.judging.touches

      # @return [Array<String>] measures that instruments read
      def measures = Reference.judging.apart.keys

      # @param measure [String] "lab" or "gloss"
      # @param values [Array<Float>, Array<Array<Float>>]
      # @return [Float, Array<Float>] their mean
      # @raise [InvalidInput] when they are too far apart to be of one surface
      def mean(measure, values)
        apart = values.combination(2)
          .map { |one, other| measure == "lab" ? Colour::DeltaE.ciede2000(one, other) : (one - other).abs }.max ||
          0
        Rhexon.refuse_unless(apart <= Reference.judging.apart.fetch(measure),
                             "The touches do not agree: #{values.map { |value| Array(value).join(" ") }.join(" / ")}",
                             where: measure, accepted: "touches near each other")
        if measure == "lab"
          values.transpose.map { |channel| (channel.sum / channel.size).round(2) }
        else
          (values.sum / values.size).round(1)
        end
      end
    end
  end
end
