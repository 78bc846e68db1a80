module Rhexon
  module Prep
    # A ladder of abrasives, from the scratch that is there to an end grit or a wanted sheen, out of what lies on the
    # shelf.
    class Ladder
      attr_reader :rungs

      # @param from_um [Numeric] mean grain of the scratch, or height of the texture
      # @param to [Abrasive] the last rung
      # @param shelf [Array<Abrasive>] what there is to choose from; the last rung is always there
      # @param stained [Boolean] bare wood that is going to be stained
      # @return [Array<Abrasive>, nil] the fewest rungs that skip nothing; nil: the shelf has no such ladder
      def self.build(from_um:, to:, shelf:, stained: false)
        shelf = (shelf + [ to ]).uniq(&:to_s)
          .select { |one| one.mean_um.between?(to.mean_um, from_um) && leads?(one, to) }
        at, rungs = from_um.to_f, []
        until rungs.last&.to_s == to.to_s
          fitting = shelf.select { |one| one.mean_um < at && follows?(one, at, share(stained)) }
          # Of two of one grain the paper, which is there in any case.
          rungs << (fitting.min_by { |one| [ one.to_s == to.to_s ? 0 : 1, one.mean_um, one.paper? ? 0 : 1 ] } or return)
          at = rungs.last.mean_um
        end
        rungs
      end

      # The coarsest last rung that brings a film to a sheen: nearest to it of what the shelf has, a paper where one is
      # as near within 3 GU.
      # @param gu [Numeric] wanted, at 60°
      # @param film_gu [Numeric, nil] sheen the film was made with
      # @return [Abrasive, nil]
      def self.last_for(gu, shelf:, film_gu:)
        shelf.select { |one| one.adds_gu.zero? }.min_by do |one|
          far = (Sheen.after(one, before_gu: nil, film_gu: film_gu).gu - gu).abs
          [ (far / 3).floor, one.paper? ? 0 : 1, far.round(3), -one.mean_um ]
        end
      end

      # Its scratches take out those of so many µm before it, and a compound finds none that are too deep.
      def self.follows?(abrasive, before_um, least)
        abrasive.mean_um >= before_um * least - 1e-9 &&
          (abrasive.is != "compound" || before_um <= compound_after_um)
      end

      # Papers lead to all; a cushioned sheet to finer ones, a powder to a finer powder, a compound to a finer compound.
      # A pad or wool rubs last: it follows a surface that paper has levelled.
      def self.leads?(one, to)
        return false if one.adds_gu.positive?
        return true if one.to_s == to.to_s || (one.paper? && one.scale != "cushion")

        one.paper? ? to.scale == "cushion" : one.is == to.is && %w[powder compound].include?(one.is)
      end

      # @param wheel [Boolean]
      # @return [Numeric] µm, the coarsest scratch that a compound polishes
      def self.compound_after_um(wheel: false)
        Reference.abrasives.compound_after_um.then { |most| wheel ? most.wheel : most.hand }
      end

      def self.share(stained)
        Reference.abrasives.ladder.then { |rule| stained ? rule.stained_share : rule.least_share }
      end
      private_class_method :share, :leads?, :follows?

      # @param rungs [Array<Abrasive>] as they are written down
      # @param from_um [Numeric, nil] scratch or texture before the first
      def initialize(rungs, from_um: nil, stained: false)
        @rungs = rungs
        @from_um = from_um
        @stained = stained
      end

      # Steps that skip too far: the scratches of the one outlast the other.
      # @return [Array<Array(Abrasive, Abrasive)>]
      def skips
        pairs.select { |before, after| after.mean_um < before.mean_um * (least_share - rule.play) }
      end

      # A compound after an abrasive whose scratches are too deep for it.
      # @return [Array<Array(Abrasive, Abrasive)>]
      def scratched(wheel: false)
        most = self.class.compound_after_um(wheel: wheel)
        rungs.each_cons(2).select do |before, after|
          after.is == "compound" && before.is != "compound" && before.mean_um > most
        end
      end

      # Steps that could be left out.
      # @return [Array<Array(Abrasive, Abrasive)>]
      def close
        pairs.select { |before, after|
          after.mean_um.between?(before.mean_um * rule.close_share + 1e-9, before.mean_um)
        }
      end

      # Steps that go back to a coarser grain.
      # @return [Array<Array(Abrasive, Abrasive)>]
      def back = pairs.select { |before, after| after.mean_um > before.mean_um }

      private

      # Powders and compounds break down as they are worked, so that none of them is skipped to.
      def pairs = rungs.each_cons(2).reject { |_, after| %w[powder compound].include?(after.is) }
      def least_share = self.class.send(:share, @stained)
      def rule = Reference.abrasives.ladder
    end
  end
end
