module Rhexon
  module Search
    # No plan can be ready before: each piece alone with everybody for itself, coats not slowing each other, no scuffs, rooms and tools free;
    # and for each training the hands it takes, through the open hours of those who have it, between the earliest start and the shortest tail.
    class Bound
      # @!attribute ready_at [Integer]
      # @!attribute because  [String] chain or hands
      # @!attribute passes   [Array<String>] keys of the chain
      # @!attribute tails    [Array<Integer, nil>] by pass: minutes from its start to ready, alone in the shop
      # @!attribute earliest [Array<Integer, nil>] by pass: start alone in the shop
      attr_reader :ready_at, :because, :passes, :tails, :earliest

      # @param model [Model]
      def initialize(model)
        @m = model
        @tails = Array.new(model.size)
        @earliest = Array.new(model.size)
        @alone = Construct.new(model, relaxed: true).each_alone
        chains = model.pieces.each_index.filter_map { |piece| chain(piece) }
        longest = chains.max_by { |ready, piece| [ ready, -piece ] }
        hands = hands_end
        @ready_at = [ longest&.first, hands ].compact.max || model.shop.now
        @because = longest.nil? || (hands && hands > longest.first) ? "hands" : "chain"
        @passes = @because == "chain" ? (model.first[longest.last]..model.last[longest.last]).map { |index| model.passes[index].key } : []
      end

      private

      # @return [Array(Integer, Integer), nil] ready and piece
      def chain(piece)
        return if @m.last[piece] < @m.first[piece]

        ready = @alone.ready[piece] or return
        (@m.first[piece]..@m.last[piece]).each do |index|
          @earliest[index] = @alone.start[index]
          @tails[index] = ready - @alone.start[index]
        end
        [ ready, piece ]
      end

      # All hands of a crew laid end to end.
      def hands_end
        open = @m.passes.each_index.select { |index| @m.logged.placed[index].nil? && @m.hands[index].positive? && @earliest[index] }
        open.group_by { |index| @m.crew[index] }.keys.map { |crew| crew_end(crew, open.select { |index| (@m.crew[index] - crew).empty? }) }.compact.max
      end

      # Work that only these hands may do: from the earliest head on, and after it at least the shortest tail.
      def crew_end(crew, indices)
        left = indices.sum { |index| @m.hands[index] }
        head = indices.map { |index| @earliest[index] }.min
        tail = indices.map { |index| @tails[index] - @m.hands[index] }.min
        found = laid_end_to_end(crew, head, left)
        found && found + [ tail, 0 ].max
      end

      def laid_end_to_end(crew, from, left)
        edges = crew.flat_map { |person| hours = @m.hours[person]; hours.opens.zip(hours.shuts).flat_map { |open, shut| shut > from ? [ [ [ open, from ].max, 1 ], [ shut, -1 ] ] : [] } }.sort
        there = 0
        edges.each_with_index do |(minute, change), index|
          there += change
          following = edges[index + 1]&.first or return
          return minute + (left / there.to_f).ceil if there.positive? && left <= there * (following - minute)

          left -= there * (following - minute)
        end
        nil
      end
    end
  end
end
