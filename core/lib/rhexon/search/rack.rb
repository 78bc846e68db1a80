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
        at = @lying.bsearch_index { |_, till, _| till >= to } || @lying.size
        @lying.insert(at, @of[owner] = [ from, to, count ])
      end

      # The next pass takes the pieces off the rack.
      def take(owner, minute)
        found = @of.delete(owner)
        return unless found && found[1] > minute

        at = @lying.bsearch_index { |_, till, _| till >= found[1] }
        at += 1 until @lying[at].equal?(found)
        @lying.delete_at(at)
        put(found[0], minute, found[2], owner) if minute > found[0]
      end

      def holds?(count) = count <= @places
    end
  end
end
