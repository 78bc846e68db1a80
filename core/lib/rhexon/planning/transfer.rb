module Rhexon
  module Planning
    # What of the pot lands on the work in this shop beside what is taken otherwise, by how it is laid on
    # ("spray/turbine", "brush"): the belief of Drying::Belief, on ln of the factor.
    class Transfer
      # Plans follow from so many coats on: one comb pressed into a run is no gun. An estimate.
      LEAST_TIMES = 3
      # Pots and combs that disagree by more than this were of different work. An estimate.
      BELIEVED = (0.25..4.0)

      # @!attribute way    [String]
      # @!attribute x      [Float] ln of what landed over what is taken otherwise
      # @!attribute landed [Float] 0 to 1
      # @!attribute at     [Integer] minute it was done
      Observation = Struct.new(:way, :x, :landed, :at, keyword_init: true)

      # @param method [String]
      # @param gun [String, nil] of core/data/hands.yml
      # @return [String]
      def self.way(method, gun) = [ method, (gun || "turbine" if method == "spray") ].compact.join("/")

      # @param shop [Shop] whose log is read; its own transfer is left aside
      # @param logged [Array<Placement>] what the log has fixed
      # @return [Array<Observation>] in the order they were done: coats with a comb and both weights of the pot
      def self.observations(shop, logged = ActualWork.of(shop).all)
        logged.select { |one| one.status == "done" }.filter_map { |one| observation(shop, one) }
              .sort_by { |one| [ one.at, one.way ] }
      end

      def self.observation(shop, placement)
        pass = placement.pass
        landed = LaidFilm.landed(shop.facts[pass.key], pass, shop.products) or return
        share = landed / Mixing::Laying.efficiency(pass.method, pass.step["gun"], pass.step["narrow"] == true)
        return unless BELIEVED.cover?(share)

        Observation.new(way: way(pass.method, pass.step["gun"]), x: Math.log(share), landed: landed,
                        at: placement.hands_end).freeze
      end
      private_class_method :observation

      # @param observations [Array<Observation>]
      # @return [Array<Hash>] "transfer" of rhexon-shop/1
      def self.taught(observations)
        observations.group_by(&:way).map do |way, mine|
          belief = mine.reduce(Drying::Belief.new(0.0, Drying::Belief::FIRST_SD, 0)) { |known, one|
            known.exactly(one.x)
          }
          { "way" => way, "m" => belief.m, "s" => belief.s, "times" => belief.coats }
        end
      end

      # @param records [Array<Hash>] "transfer" of rhexon-shop/1: "way", "m", "s", "times"
      def initialize(records)
        @own = records.to_h { |record| [ record["way"], record ] }
        freeze
      end

      # @return [Float, nil] of the transfer efficiency that is taken otherwise; nil: not known
      def factor(method, gun)
        record = @own[self.class.way(method, gun)]
        Math.exp(record["m"]) if record && record["times"].to_i >= LEAST_TIMES
      end
    end
  end
end
