module Rhexon
  module Planning
    # No plan can be ready before: each piece alone with all hands for itself, coats not slowing each other, no scuffs;
    # and all hands of all pieces laid end to end through the open hours.
    class Bound
      # @return [Bound]
      def self.of(shop, queues, drier) = new(shop, queues, drier)

      # @!attribute tails [Hash{String=>Integer}] pass key => minutes from its start to ready, alone in the shop
      attr_reader :ready_at, :because, :passes, :tails

      def initialize(shop, queues, drier)
        @shop = shop
        @tails = {}
        chains = queues.filter_map { |id, passes| chain(id, passes, drier) }
        longest = chains.max_by { |chain| [ chain[:ready], chain[:id] ] }
        hands = hands_end(queues)
        @ready_at = [ longest && longest[:ready], hands ].compact.max || shop.now
        @because = longest.nil? || (hands && hands > longest[:ready]) ? "hands" : "chain"
        @passes = @because == "chain" ? longest[:keys] : []
      end

      private

      def chain(id, passes, drier)
        return if passes.empty?

        build = Builder.new(@shop, { id => passes }, drier, relaxed: true).build
        ready = build.ready[id] or return
        build.placements.each { |placement| @tails[placement.pass.key] = ready - placement.hands_start }
        { id: id, ready: ready, keys: build.placements.map { |placement| placement.pass.key } }
      end

      def hands_end(queues)
        left = queues.each_value.flat_map(&:itself).sum { |pass| @shop.facts[pass.key]&.started_at ? 0 : pass.hands_min }
        return if left.zero?

        @shop.calendar.from(@shop.now) do |open, shut|
          start = [ open, @shop.now ].max
          return start + left if start + left <= shut

          left -= shut - start
        end
        nil
      end
    end
  end
end
