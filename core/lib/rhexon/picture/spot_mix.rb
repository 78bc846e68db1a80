module Rhexon
  module Picture
    # What spots are mended with: by spots, never by the whole face.
    class SpotMix
      # What a spot is given, ml/m²: as a stain on wood, for what goes over it is as little (an estimate).
      ML_PER_M2 = Reference.hands.stain_ml_per_m2

      # @param plan [Planning::Plan]
      # @param pass [Planning::Pass] of kind mend
      def initialize(plan, pass)
        @plan = plan
        @pass = pass
      end

      # A touch-up is mixed in a small glass, its colourants counted in drops: no scale weighs so little.
      GLASS_ML = 10

      # @return [Hash, nil] :ml for all spots of all pieces, and :parts of a small glass, :name, :g and :drops; nil
      #   where it is not said what with
      def to_h
        return unless @pass.kind == "mend" && @pass.product

        { ml: ml.round(2), glass_ml: GLASS_ML, parts: pours.map { |pour| part(pour) } }
      end

      private

      def ml
        step = @pass.step
        step.fetch("spots", 1) * step.fetch("spot_cm2", 2) / 10_000.0 * ML_PER_M2 * @pass.count
      end

      def pours
        recipe = Mixing::ProductMix.recipe(@pass.product, @plan.shop.products, @pass.step)
        Mixing::PourSheet.new(recipe, { "total_ml" => GLASS_ML }, resolution_g: @plan.shop.scale_g).pours
      end

      def part(pour) = { name: pour.name, g: pour.g.round(2), drops: Mixing::Drops.count(pour.ml) }
    end
  end
end
