module Rhexon
  module Picture
    # The window strip of one coat: stretches in which hands may or may not go on, in minutes.
    # States: too_soon, open, shut (scuff first), scuffed (open after scuffing).
    class Strip
      # @!attribute over [Boolean] what is left of the window after the next coat went on: drawn thin
      Stretch = Struct.new(:state, :from, :to, :over, keyword_init: true)

      # @param placement [Planning::Placement] a coat or stain
      # @param plan [Planning::Plan]
      # @return [Array<Stretch>]
      def self.for(placement, plan) = new(placement, plan).stretches

      def initialize(placement, plan)
        @placement = placement
        @plan = plan
        @after = plan.of_piece(placement.pass.piece.id).select do |other|
          other.pass.needs.any? { |need| need.pass == placement.pass.index }
        end
      end

      def stretches
        opens = opens_at or return []
        next_at = next_coat&.work_start
        plain = [ stretch("too_soon", laid, opens), *open_and_shut(opens, next_at) ].compact
        plain.flat_map { |part| cut(part, next_at) } + scuffed(next_at)
      end

      # @return [Planning::Placement, nil] the coat that goes on top
      def next_coat = @next_coat ||= @after.find { |other| other.pass.leaves_something? }

      private

      def laid = @placement.work_end

      # What the next work on it waits for: recoat, or the rub-out after the last coat.
      def opens_at
        follower = next_coat || @after.find { |other| other.pass.abrasion? } || @after.first
        unless follower
          return @plan.drier.reached(@placement, @plan.piece(@placement.pass.piece.id).ready_at)&.reached_at
        end

        need = follower.pass.needs.find { |candidate| candidate.pass == @placement.pass.index }
        @plan.drier.reached(@placement, need.milestone, need.pair)&.reached_at
      end

      def open_and_shut(opens, next_at)
        closes = next_coat && @plan.drier.closes_at(@placement)
        finish = [ next_at, closes ].compact.max || ends(opens)
        return [ stretch("shut", opens, finish) ] if closes && closes <= opens

        [
          stretch("open", opens, closes || finish),
          (stretch("shut", closes, next_at) if closes && next_at && next_at > closes)
        ]
      end

      def ends(opens) = [ @after.map(&:hands_end).max, opens + 240 ].compact.max

      def cut(part, next_at)
        return [ part ] unless next_at && part.to > next_at
        return [ stretch(part.state, part.from, part.to, true) ] if part.from >= next_at

        [ stretch(part.state, part.from, next_at), stretch(part.state, next_at, part.to, true) ]
      end

      def scuffed(next_at)
        return [] unless next_at

        rub = @plan.of_piece(@placement.pass.piece.id).reverse.find do |other|
          other.pass.abrasion? && (other.pass.faces & @placement.pass.faces).any? && other.hands_start >= laid &&
            other.hands_end <= next_at
        end
        if rub && !@placement.pass.product.redissolves?
          [ stretch("scuffed", rub.hands_end, [ next_at, rub.hands_end + 1 ].max) ]
        else
          []
        end
      end

      def stretch(state, from, to, over = false)
        from && to && to > from ? Stretch.new(state: state, from: from, to: to, over: over) : nil
      end
    end
  end
end
