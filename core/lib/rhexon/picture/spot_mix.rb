module Rhexon
  module Picture
    # What spots are mended with: by spots, never by the whole face.
    class SpotMix
      # @param plan [Planning::Plan]
      # @param pass [Planning::Pass] of kind mend
      def initialize(plan, pass)
        @plan = plan
        @pass = pass
      end

      # @return [Hash, nil] :ml for all spots of all pieces, and :parts of a small glass, :name, :g and :drops; nil
      #   where it is not said what with
      def to_h
        return unless @pass.kind == "mend" && @pass.product

        { ml: ml.round(2), glass_ml: glass_ml, parts: pours.map { |pour| part(pour) } }
      end

      private

      # A spot is given as much as a stain gives wood: what goes over it is as little (an estimate).
      def ml
        step = @pass.step
        spots, cm2 = step["spots"] || 1, step["spot_cm2"] || Proposals::NewSteps.set("mend").fetch("spot_cm2")
        spots * cm2 / 10_000.0 * Reference.hands.stain_ml_per_m2 * @pass.count
      end

      # It is mixed in a small glass, its colourants counted in drops: no scale weighs so little.
      def glass_ml = Reference.mixing.touch_up_glass_ml

      def pours
        recipe = Mixing::ProductMix.recipe(@pass.product, @plan.shop.products, @pass.step)
        Mixing::PourSheet.new(recipe, { "total_ml" => glass_ml }, resolution_g: @plan.shop.scale_g).pours
      end

      def part(pour) = { name: pour.name, g: pour.g.round(2), drops: Mixing::Drops.count(pour.ml) }
    end
  end
end
