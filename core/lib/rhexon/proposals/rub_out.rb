module Rhexon
  module Proposals
    # Ladders out of what is on the shelf.
    module RubOut
      module_function

      # A ladder that brings a film to a sheen.
      # @param surface [Work::Surface] as the last coat left it
      # @param gu [Numeric] wanted
      # @param shelf [Array<Prep::Abrasive>]
      # @return [Array<Prep::Abrasive>, nil] nil: the shelf has none
      def to_sheen(surface, gu, shelf)
        last = Prep::Ladder.last_for(gu, shelf: shelf, film_gu: surface.film_gu) or return
        rungs = Prep::Ladder.build(from_um: from_um(surface), to: last, shelf: shelf) or return
        [ *rungs, *glazes(rungs, gu, surface, shelf) ]
      end

      # What a compound lacks of a wanted gloss is glazed on.
      def glazes(rungs, gu, surface, shelf)
        return [] unless rungs.last.is == "compound"

        reached = Prep::Sheen.rubbed(rungs, before_gu: nil, film_gu: surface.film_gu).last.gu
        finest = shelf.select { |one| one.adds_gu.positive? }.sort_by(&:adds_gu)
        finest.take_while.with_index { |_, at| reached + finest.first(at).sum(&:adds_gu) < gu - 1 }
      end

      # @param walk [Work::Walk]
      # @return [Work::Surface] as the last coat left it
      def before(walk)
        rubbed = walk.course.reverse.take_while { |moment| !moment.placement.pass.leaves_something? }
        rubbed.last&.before || walk.final
      end

      # A texture counts as the scratch whose next paper levels it.
      def from_um(surface)
        return surface.texture_um * Reference.abrasives.ladder.texture if surface.texture_um.positive?

        surface.scratch_um.to_f
      end
      private_class_method :from_um, :glazes
    end
  end
end
