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
        least = share(stained)
        finer = (shelf + [ to ]).uniq(&:to_s).select { |one| one.adds_gu.zero? && one.mean_um < from_um }
        fits = ->(before, after) { after >= before * least - 1e-9 }
        at, rungs = from_um.to_f, []
        until rungs.last&.to_s == to.to_s
          nearer = finer.select { |one| one.mean_um < at && one.mean_um >= to.mean_um && fits.(at, one.mean_um) }
          nearer = [ to ] if fits.(at, to.mean_um)
          # Of two of one grain the paper, which is there in any case.
          at = nearer.map(&:mean_um).min or return nil
          rungs << (nearer.select { |one| one.mean_um == at }.min_by { |one| one.paper? ? 0 : 1 })
        end
        rungs
      end

      # The coarsest last rung that brings a film to a sheen: nearest to it of what the shelf has.
      # @param gu [Numeric] wanted, at 60°
      # @param film_gu [Numeric, nil] sheen the film was made with
      # @return [Abrasive, nil]
      def self.last_for(gu, shelf:, film_gu:)
        shelf.select { |one| one.adds_gu.zero? }.min_by do |one|
          [ (Sheen.after(one, before_gu: nil, film_gu: film_gu).gu - gu).abs.round(3), -one.mean_um ]
        end
      end

      def self.share(stained)
        Reference.abrasives.ladder.then { |rule| stained ? rule.stained_share : rule.least_share }
      end
      private_class_method :share

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
