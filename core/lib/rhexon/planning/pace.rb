module Rhexon
  module Planning
    # How fast the hands of a shop are beside what is reckoned, by what they do ("coat/spray", "sand"): the belief of
    # Drying::Belief, on ln of the factor.
    class Pace
      # Plans follow from so many works on: one touch at the wrong moment is no pace. An estimate.
      LEAST_TIMES = 3

      # What somebody may say, times the estimate: beyond it something else is meant. An estimate.
      SAID = (0.2..5.0)

      # @param kind [String] of work
      # @param method [String, nil]
      # @return [String]
      def self.work(kind, method) = [ kind, method ].compact.join("/")

      # Work of hands whose minutes can be said for a shop.
      # @return [Array<String>]
      def self.works
        Work::Kind.all.values.select { |kind| kind.hands? && !kind.tells? && Schedule::Kinds.all.include?(kind.id) }
          .flat_map do |kind|
            methods = Reference.kinds.kinds.fetch(kind.id)["methods"]
            methods ? methods.map { |method| work(kind.id, method) } : [ work(kind.id, nil) ]
          end
      end

      # @param factors [Hash{String=>Numeric}] by work, as somebody says them
      # @param learned [Array<Hash>, nil] "pace" of rhexon-shop/1
      # @return [Array<Hash>] the same with what was said in place of what was learned of all hands
      def self.said(factors, learned)
        own = factors.map { |name, factor|
          { "work" => name, "person" => nil, "m" => Math.log(factor), "s" => 0.0, "times" => LEAST_TIMES }
        }
        (learned || []).reject { |record| record["person"].nil? && factors.key?(record["work"]) } + own
      end

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
