module Rhexon
  module Search
    # Places where wet work lies until it can be handled.
    class Rack
      # @param places [Integer]
      def initialize(places)
        @places = places
        @lying = []
        @of = {}
      end

      # @return [Integer, nil] a later minute from which +count+ more might fit from +from+ to +to+; nil: they fit now
      def full_until(from, to, count)
        near = @lying.drop(@lying.bsearch_index { |_, till, _| till > from } || @lying.size)
        [ from, *near.map(&:first).select { |start| start > from && start < to } ].each do |minute|
          there = near.select { |start, till, _| start <= minute && minute < till }
          return there.map { |_, till, _| till }.min if there.sum { |_, _, more| more } + count > @places
        end
        nil
      end

      # @param owner [Integer] index of the pass
      def put(from, to, count, owner)
        insert(@of[owner] = [ from, to, count ])
      end

      # The next pass takes its pieces off the rack; others stay.
      # @param count [Integer, nil] how many of them; nil: all
      def take(owner, minute, count = nil)
        stay = @of[owner]
        return unless stay && stay[1] > minute

        from, _, there = stay
        gone = [ count || there, there ].min
        stay[2] -= gone
        remove(owner, stay) if stay[2].zero?
        insert([ from, minute, gone ]) if minute > from
      end

      def holds?(count) = count <= @places

      # What lies there now, to be put back after a try.
      # @return [Array] of {#restore}
      def kept
        lying = @lying.map(&:dup)
        [ lying, @of.transform_values { |entry| lying[@lying.index { |other| other.equal?(entry) }] } ]
      end

      # @param kept [Array] of {#kept}
      def restore(kept) = (@lying, @of = kept)

      private

      def insert(entry) = @lying.insert(@lying.bsearch_index { |_, till, _| till >= entry[1] } || @lying.size, entry)

      def remove(owner, entry)
        @of.delete(owner)
        at = @lying.bsearch_index { |_, till, _| till >= entry[1] }
        at += 1 until @lying[at].equal?(entry)
        @lying.delete_at(at)
      end
    end
  end
end
