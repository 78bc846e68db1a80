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
        Prep::Ladder.build(from_um: from_um(surface), to: last, shelf: shelf)
      end

      # @param walk [Work::Walk]
      # @return [Work::Surface] as the last coat left it
      def before(walk)
        rubbed = walk.course.reverse.take_while { |moment| !moment.placement.pass.leaves_something? }
        rubbed.last&.before || walk.final
      end

      # A texture is levelled by a paper of about one and a half times its height (an estimate: sprayed P1000, brushed
      # P500), which is what follows on a scratch of three times it.
      def from_um(surface)
        surface.texture_um.positive? ? surface.texture_um * 3 : surface.scratch_um || surface.texture_um
      end
      private_class_method :from_um
    end
  end
end
