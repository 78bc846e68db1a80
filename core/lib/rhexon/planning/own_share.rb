module Rhexon
  module Planning
    # A figure of the shop's own beside the one that is taken otherwise, by the way the work is done: the belief of
    # Drying::Belief, on ln of the factor.
    class OwnShare
      # Plans follow from so many times on: one reading is no habit. An estimate.
      LEAST_TIMES = 3
      # Readings further off than this were of different work. An estimate.
      BELIEVED = (0.25..4.0)

      # @!attribute way [String]
      # @!attribute x   [Float] ln of what was read over what is taken otherwise
      # @!attribute own [Float] what was read
      # @!attribute at  [Integer] minute it was done
      Observation = Struct.new(:way, :x, :own, :at, keyword_init: true)

      # @param own [Numeric] what was read
      # @param usual [Numeric] what is taken otherwise
      # @return [Observation, nil] nil where the two cannot be of one work
      def self.observed(way, own, usual, at)
        share = usual.positive? ? own / usual.to_f : 0
        Observation.new(way: way, x: Math.log(share), own: own, at: at).freeze if BELIEVED.cover?(share)
      end

      # @param observations [Array<Observation>]
      # @return [Array<Hash>] "transfer" or "abrasion" of rhexon-shop/1
      def self.taught(observations)
        observations.group_by(&:way).map do |way, mine|
          belief = mine.reduce(Drying::Belief.new(0.0, Drying::Belief::FIRST_SD, 0)) { |known, one|
            known.exactly(one.x)
          }
          { "way" => way, "m" => belief.m, "s" => belief.s, "times" => belief.coats }
        end
      end

      # @param records [Array<Hash>] "way", "m", "s", "times"
      def initialize(records)
        @own = records.to_h { |record| [ record["way"], record ] }
        freeze
      end

      # @return [Float, nil] of what is taken otherwise; nil: not known yet
      def factor(way)
        record = @own[way]
        Math.exp(record["m"]) if record && record["times"].to_i >= LEAST_TIMES
      end
    end
  end
end
