module Rhexon
  module Compare
    # What one schedule comes to for a piece, in the plan of the whole shop.
    class Alternative
      attr_reader :plan, :label, :document

      # @param plan [Planning::Plan] made with this schedule for the piece
      # @param piece_id [String]
      # @param label [String]
      def initialize(plan, piece_id, label)
        @plan = plan
        @id = piece_id
        @label = label
        @document = plan.piece(piece_id).schedule
      end

      def ready_at = plan.build.ready[@id]
      def cured_at = plan.reached_at(@id, "full_cure")
      def coats = thickest.snapshots.count { |snapshot| snapshot.placement.pass.film? }

      def sessions
        placements.flat_map { |placement| placement.hands.map { |from, _| plan.shop.zone.date(from) } }.uniq.size
      end

      def hands_min = plan.hands_min(@id)
      def elapsed_min = plan.elapsed_min(@id)
      def scuffs = placements.count { |placement| placement.pass.kind == "scuff" }
      # Dry film on the face with the most.
      def film_um = thickest.final.total_um.round(1)
      # @return [Numeric, nil] GU of the last coat
      def sheen_gu = thickest.last_coat&.product&.sheen_gu&.value

      # Share of the pores' depth that is filled.
      # @return [Float] 0 to 1
      def pores_filled = thickest.final.pores_filled
      # @return [String] open, half-filled or closed
      def pores = thickest.final.pores

      # @return [Float] of all mixes, losses included
      def litres = laid.sum { |placement| Mixing::Laying.of_pass(placement.pass).gross_ml } / 1000

      # @return [Float, nil] at the cheapest pack; nil when a price is missing
      def cost
        costs = laid.map { |placement| Mixing::Outlay.cost(pours(placement.pass), plan.shop.products) }
        costs.sum unless costs.any?(&:nil?)
      end

      # @return [Float, nil] grams that evaporate, thinner included; nil when a sheet does not say
      def voc_g
        solvents = laid.map do |placement|
          (parts = Mixing::ProductMix.voc_parts(pours(placement.pass), plan.shop.products)) &&
            parts.sum { |part| part[:ml] * part[:ready_g_per_l] / 1000.0 }
        end
        solvents.sum unless solvents.any?(&:nil?)
      end

      # @return [Array<Checks::Finding>] stops and cautions
      def findings
        @findings ||= Checks::Catalogue.findings(plan, @id).select do |finding|
          %w[stop caution].include?(finding.level)
        end
      end

      def piece_id = @id

      # Dry film over time on the face with the most.
      # @return [Array<Array(Integer, Float)>] minute and µm
      def growth = Planning::Growth.for(plan, @id, wet: false)

      # @return [Chance::Outlook]
      def outlook = @outlook ||= Chance::Outlook.new(plan)

      def chance = (due = plan.piece(@id).due) && outlook.share_by(@id, due)

      private

      def placements = plan.of_piece(@id)
      def laid = placements.select { |placement| placement.pass.leaves_something? }
      def thickest = plan.film(@id, plan.thickest_face(@id))

      def pours(pass) = Mixing::Outlay.pours(pass, plan.shop)
    end
  end
end
