module Rhexon
  module Faults
    # Where faults of a shop come back: their share of the work that was laid on, by what it was laid on with, by whom,
    # how and in which air, and whether that is more than elsewhere or too few to tell.
    class Recurrence
      # @!attribute faults [Array<String>] ids that were logged on it
      # @!attribute by     [Hash{String=>String, nil}] what is told apart: "product", "person", "method", "room",
      #   "warmth", "damp"
      Work = Struct.new(:faults, :by, keyword_init: true)
      # @!attribute works, faulty [Integer]
      # @!attribute low, high [Float] of the share, 95 in 100
      # @!attribute told [String] more, less, alike or too_few
      Group = Struct.new(:by, :value, :works, :faulty, :share, :low, :high, :told, keyword_init: true)

      # Fewer works than that tell nothing of a share.
      LEAST_WORKS = 8
      WARMTH = { "below 16 °C" => ...16.0, "16 to 22 °C" => 16.0...22.0, "22 °C and above" => 22.0.. }.freeze
      DAMP = { "below 40 % RH" => ...40.0, "40 to 60 % RH" => 40.0...60.0, "60 % RH and above" => 60.0.. }.freeze

      # @param climate [Drying::Climate]
      # @return [Hash{String=>String}] its bands
      def self.air(climate)
        { "warmth" => WARMTH.key(WARMTH.values.find { |range| range.cover?(climate.t_c) }),
          "damp" => DAMP.key(DAMP.values.find { |range| range.cover?(climate.rh) }) }
      end

      # @param works [Array<Work>]
      # @param fault [String, nil] of which; nil: any
      def initialize(works, fault: nil)
        @works = works
        @fault = fault
      end

      # @return [Array<Group>] each kind of thing that is told apart, what stands out first
      def groups
        @works.flat_map { |work| work.by.keys }.uniq.flat_map do |by|
          alike = @works.group_by { |work| work.by[by] }.except(nil)
          next [] if alike.size < 2

          alike.map { |value, mine| group(by, value, mine) }.sort_by { |one| [ -one.share, one.value ] }
        end
      end

      # @return [Group] of all work together
      def whole = group("all", "all work", @works)

      # @return [Array<Group>] of each fault that was logged, the most often one first
      def faults
        ids = @works.flat_map(&:faults).uniq
        ids.map { |id| self.class.new(@works, fault: id).whole.dup.tap { |one| one.by, one.value = "fault", id } }
          .sort_by { |one| [ -one.faulty, one.value ] }
      end

      private

      def group(by, value, mine)
        faulty = mine.count { |work| faulty?(work) }
        low, high = mine.empty? ? [ 0.0, 1.0 ] : Statistics::Share.interval(faulty, mine.size)
        Group.new(by: by, value: value, works: mine.size, faulty: faulty,
                  share: mine.empty? ? 0.0 : faulty / mine.size.to_f, low: low, high: high, told: told(mine, low, high))
      end

      # Held against the other work: what is part of the whole would hide in it.
      def told(mine, low, high)
        others = @works - mine
        return "too_few" if mine.size < LEAST_WORKS || others.size < LEAST_WORKS

        share = others.count { |work| faulty?(work) } / others.size.to_f
        return "more" if low > share

        high < share ? "less" : "alike"
      end

      def faulty?(work) = @fault ? work.faults.include?(@fault) : work.faults.any?
    end
  end
end
