module Rhexon
  module Checks
    # The steps of one shown face.
    class Course
      # @return [Array<Laid>]
      attr_reader :laid

      # @param context [Context]
      def initialize(context)
        @context = context
        piece = context.piece
        @face = face = piece.faces.keys.find { |id| piece.shown?(id) } || piece.faces.keys.first
        mine = context.document["steps"].select { |step| step["faces"].nil? || step["faces"].include?(face) }
        @laid = mine.map do |step|
          Laid.new(
            step: step, product: context.shop.products[step["product"]],
            placements: context.placements.select { |placement|
              placement.pass.step["id"] == step["id"] && !placement.pass.inserted
            }
          )
        end
      end

      def steps = laid.map(&:step)

      # @return [Array<Laid>] stains and coats before, nearest last
      def under(one) = laid.take_while { |other| !other.equal?(one) }.select(&:lays?)

      # @return [Laid, nil] the stain or coat that follows
      def over(one)
        laid.drop_while { |other| !other.equal?(one) }.drop(1).find(&:lays?)
      end

      # @return [Prep::Abrasive, nil] the last the bare wood was sanded with before
      def last_grit(one)
        sanded = laid.take_while { |other| !other.equal?(one) }
          .take_while { |other| !other.coat? }
          .select { |other| other.step["kind"] == "sand" }.last
        sanded && Prep::Abrasive.near(sanded.step["grits"].last)
      end

      # Colours of which nothing is laid on yet.
      def open_colours = laid.select { |one| one.colours? && one.first && !one.begun? }

      # What the look hangs on and can still be changed: the colour, or the first coat where there is none.
      # @return [Laid, nil] nil once it is begun
      def hangs_on = (laid.find(&:colours?) || laid.find(&:coat?)).then { |one| one if one&.first && !one.begun? }

      # @return [Colour::Wood, nil] nil when the wood has no colour figures
      def wood(board = "mean") = @context.piece.timber(@face, board)

      # The look in the end.
      # @param without [Symbol, nil] :colour leaves stains out, :yellow takes the yellow out of clear films
      # @return [Colour::Looks::Stage, nil] nil when the wood or a product has no colour figures
      def look(board: "mean", without: nil, years: 0, steps: self.steps)
        wood = wood(board) or return
        steps = steps.reject { |step| step["kind"] == "stain" } if without == :colour
        water_white = without == :yellow ? laid.select(&:clear?).to_h { |one| [ one.product.id, 0.0 ] } : {}
        Colour::Looks
          .new(wood, steps, @context.shop.products, surface: @context.shop.surface, years: years,
                                                    strengths: water_white, found: found)
          .final
          .then { |stage| stage if stage.gaps.empty? }
      end

      def found = @context.piece.faces.fetch(@face)["found"] || {}

      # @return [Array<Numeric>, nil] wanted L*a*b*, D65
      def target = @context.piece.wanted["lab"]
    end
  end
end
