module Rhexon
  module Picture
    # What is mixed for one pass: how much, of what, in which batches. Coats that share a pot are mixed at once.
    class Mix
      attr_reader :laying

      # @param pass [Planning::Pass]
      # @param laying [Mixing::Laying]
      def initialize(plan, pass, laying)
        @plan = plan
        @pass = pass
        @laying = laying
      end

      def laid_ml = laying.laid_ml.round
      def gross_ml = laying.gross_ml.round
      # @return [Integer] the whole pot, where it serves several coats
      def mixed_ml = whole_ml.round
      def left_behind_ml = laying.left_behind_ml.round
      # @return [String] where that stays: a key of left_behind_ml
      def left_in = Mixing::Laying.left_in(@pass)
      def margin_percent = laying.margin_percent
      def transfer_percent = (laying.transfer_efficiency * 100).round
      def wiped = laying.wiped

      # @return [Array<Mixing::PourSheet::Pour>] of the whole pot
      def pours = sheet.pours

      def total_g = sheet.total_g.round(1)
      def known = Mixing::ProductMix.known?(@pass.product)

      # Solids of the mix as applied, by volume.
      def solids_percent = @pass.solids_percent&.round(1)

      # @return [Array<Mixing::Batches::Batch>] that serve this pass, soonest first
      def batches = @batches ||= @plan.batches.select { |batch| batch.passes.include?(@pass.key) }

      # Hardener range of the sheet, parts to 100 of base.
      # @return [Array(Numeric, Numeric), nil]
      def hardener_range = @pass.product.mix.find { |component| component["role"] == "hardener" }&.fetch("range", nil)

      def hardener_parts = Mixing::ProductMix.hardener_parts(@pass.product, @pass.step)
      def thinning_range_percent = @pass.product.thinning_range_percent
      def thinning_of = @pass.product.thinning_of

      # Efflux time of the thinned product, inside the known readings only.
      def efflux_s = Mixing::Thinning.efflux_s(@pass.product.efflux, @pass.step.dig("thinning", "percent") || 0)&.round

      # VOC of the mix, g/L; nil where a component has none stated (water and other thinners that are not stocked
      # count as none).
      # @return [Hash{Symbol=>Integer}, nil] :ready_g_per_l, :less_water_g_per_l
      def voc
        parts = Mixing::ProductMix.voc_parts(pours, @plan.shop.products)
        parts && Mixing::Thinning.voc(parts).transform_values(&:round)
      end

      # Rubbed oils are dosed in drops; the first coat is flooded on.
      # @return [Integer, nil] to one piece
      def drops = CountedDrops.new(@plan, @pass).expected

      private

      def whole_ml
        pot = batches.first
        pot && pot.passes.size > 1 ? pot.ml : laying.gross_ml
      end

      def sheet
        @sheet ||= Mixing::PourSheet.new(Mixing::ProductMix.recipe(@pass.product, @plan.shop.products, @pass.step),
                                         { "total_ml" => whole_ml }, resolution_g: @plan.shop.scale_g)
      end
    end
  end
end
