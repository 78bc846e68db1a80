module Rhexon
  module Checks
    # What is proposed where the schedule leaves it open: ladders from what is on the shelf, rounds by reckoning.
    module Proposal
      # Fillings that are tried before something else is.
      MOST_FILLINGS = 4

      module_function

      # A ladder that brings a film to a sheen.
      # @param walk [Work::Walk]
      # @param gu [Numeric] wanted
      # @param shelf [Array<Prep::Abrasive>]
      # @return [Array<Prep::Abrasive>, nil]
      def rub_out(walk, gu, shelf)
        surface = before_rubbing(walk)
        last = Prep::Ladder.last_for(gu, shelf: shelf, film_gu: surface.film_gu) or return
        Prep::Ladder.build(from_um: from_um(surface), to: last, shelf: shelf)
      end

      # How often pores are filled until they are closed, the first time included.
      # @param filled [Numeric] share that is full already
      # @return [Integer]
      def fillings(filled = 0.0)
        rule = Reference.film.filler
        left = 1 - rule.fills * (1 - rule.loses)
        (Math.log((1 - Reference.film.pore_words.last.last) / (1 - filled)) / Math.log(left)).ceil.clamp(1,
                                                                                                         MOST_FILLINGS)
      end

      # The surface as the last coat left it.
      def before_rubbing(walk)
        rubbed = walk.course.reverse.take_while { |moment| !moment.placement.pass.leaves_something? }
        rubbed.last&.before || walk.final
      end

      # A texture is levelled by a paper of about one and a half times its height (an estimate: sprayed P1000, brushed
      # P500), which is what follows on a scratch of three times it.
      def from_um(surface)
        surface.texture_um.positive? ? surface.texture_um * 3 : surface.scratch_um || surface.texture_um
      end
      private_class_method :before_rubbing, :from_um
    end
  end
end
