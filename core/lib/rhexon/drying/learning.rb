module Rhexon
  module Drying
    # What a shop's log teaches of its drying factors: all looks at one coat and one milestone make one interval, counted once it was dry.
    class Learning
      # @!attribute phase    [String] early or hard
      # @!attribute from, to [Float, nil] ln of the reference minutes that had passed over those the sheet asks for, at the last "not yet" and the first "dry"
      # @!attribute exact    [Boolean] the user said "just now"
      # @!attribute at       [Integer] minute it was logged
      Observation = Struct.new(:product, :mechanism, :phase, :from, :to, :exact, :at, keyword_init: true)

      # @param shop [Planning::Shop] whose log is read; nothing is planned
      # @return [Array<Observation>] in the order they were logged
      def self.observations(shop)
        queues = Planning::Expansion.queues(shop)
        drier = Planning::Drier.new(shop)
        looked = Planning::Logged.new(shop, queues, drier).all.select { |placement| placement.looks&.any? && placement.milestones }
        looked.flat_map { |placement| placement.looks.group_by(&:first).filter_map { |name, looks| observation(drier, shop, placement, name, looks) } }.sort_by { |found| [ found.at, found.product, found.phase ] }
      end

      def self.observation(drier, shop, placement, name, looks)
        dry = looks.find { |_, answer, _| answer == "dry" } or return
        milestone = placement.milestones[drier.known(placement.pass, name)] or return
        before = looks.select { |_, answer, minute| answer == "not_yet" && minute <= dry[2] }.last
        Observation.new(product: placement.pass.product.id, mechanism: placement.pass.product.mechanism, phase: milestone.phase, from: before && passed(shop, placement, milestone, before[2]), to: passed(shop, placement, milestone, dry[2]),
                        exact: dry[3] == true, at: dry[2]).freeze
      end
      private_class_method :observation

      # ln of time passed over time needed without the shop's own factor; nil right after laying.
      def self.passed(shop, placement, milestone, minute)
        done = Rate.progress(placement.pass.product, milestone.phase, shop.line(placement.pass.dry_room)).between(placement.work_end, minute)
        done.positive? ? Math.log(done / (milestone.needed / milestone.own[:shop])) : nil
      end
      private_class_method :passed

      # Each observation updates the belief of its product and group once; a product without a log begins at half the mean of its mechanism.
      # @param observations [Array<Observation>]
      # @return [Array<Hash>] beliefs of rhexon-shop/1
      def self.taught(observations)
        beliefs = observations.each_with_object({}) do |found, known|
          key = [ found.product, found.phase, found.mechanism ]
          before = known[key] || first(known, found)
          known[key] = found.exact ? before.exactly(found.to) : before.after(found.from, found.to)
        end
        beliefs.map { |(product, phase, _), belief| { "product" => product, "group" => phase, "m" => belief.m, "s" => belief.s, "coats" => belief.coats } }
      end

      def self.first(known, found)
        kin = known.select { |(_, phase, mechanism), _| phase == found.phase && mechanism == found.mechanism }.values
        coats = kin.sum(&:coats)
        Belief.new(coats.zero? ? 0.0 : kin.sum { |belief| belief.m * belief.coats } / coats / 2, Belief::FIRST_SD, 0)
      end
      private_class_method :first
    end
  end
end
