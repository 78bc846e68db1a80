module Rhexon
  module Planning
    # How fast the hands of a shop are beside what is reckoned, by what they do ("coat/spray", "sand"): the belief of
    # Drying::Belief, on ln of the factor.
    class Pace
      # Plans follow from so many works on: one touch at the wrong moment is no pace. An estimate.
      LEAST_TIMES = 3

      # @param kind [String] of work
      # @param method [String, nil]
      # @return [String]
      def self.work(kind, method) = [ kind, method ].compact.join("/")

      # @param records [Array<Hash>] "pace" of rhexon-shop/1: "work", "person" (nil: all hands), "m", "s", "times"
      def initialize(records)
        @own = records.select { |record| record["person"].nil? }.to_h { |record| [ record["work"], record ] }
        freeze
      end

      # @return [Float] minutes of hands on this work, of those that are reckoned
      def factor(kind, method)
        record = @own[self.class.work(kind, method)]
        record && record["times"].to_i >= LEAST_TIMES ? Math.exp(record["m"]) : 1.0
      end
    end
  end
end
