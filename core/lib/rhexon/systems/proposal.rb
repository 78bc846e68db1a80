module Rhexon
  module Systems
    # A system made for a piece, with what it comes to.
    class Proposal
      extend Forwardable
      def_delegators :@alternative, :ready_at, :cured_at, :coats, :sessions, :film_um, :litres, :voc_g, :pores,
                     :findings, :growth, :document
      def_delegators :@system, :id, :name, :says, :ages, :odour, :skill, :repair

      attr_reader :system, :bought, :plan

      # @param instance [Instance]
      # @param piece_id [String]
      # @param asks [Hash{String=>Integer}] what it has to stand up to
      def initialize(instance, piece_id, asks)
        @asks = asks
        @system = instance.system
        @plan = instance.plan
        @piece = @plan.piece(piece_id)
        @bought = instance.bought
        @alternative = Compare::Alternative.new(@plan, piece_id, @system.name)
      end

      # @param wish [Wish]
      # @return [String, nil] why a knowing hand takes it first for such a piece; nil: it would not, nor where an old
      #   finish would have to come off for it
      def because(wish) = (@system.because(@piece, wish) unless @system.strips? && old_finish?)

      # @return [Integer] of hands that are still to come
      def hands_min
        @plan.of_piece(@piece.id).reject { |one| one.status == "done" }
          .sum { |one| one.hands.sum { |from, to| to - from } }
      end

      # Enough to tell nine of ten from seven: six ways are drawn while somebody looks.
      RUNS = 100
      private_constant :RUNS

      # @param due [Integer, nil]
      # @return [Float, nil] 0 to 1; nil where nothing is due
      def chance(due) = due && outlook.share_by(@piece.id, due)

      # @return [Float, nil] of what is laid on; nil where a price is missing
      def cost = @alternative.cost

      # @return [Numeric, nil] GU at 60° in the end; nil: bare wood, or not known
      def sheen_gu = walk.final.sheen_gu

      # @return [Colour::Look, nil] as it is reckoned in the end; nil where wood or product have no colour figures
      def look = Checks::Context.new(@plan, @piece.id).course.look&.look

      # @param lab [Array<Numeric>, nil] wanted
      # @return [Float, nil] colour difference to it, as it is reckoned
      def delta_e(lab) = lab && (seen = look) && Colour::DeltaE.ciede2000(lab, seen.lab)

      # @return [Float] µm that brush, roller or gun left on the face in the end
      def texture_um = walk.final.texture_um

      # It lies on wood, or melts into what is there: nothing hangs on how an old finish holds.
      def sure? = !old_finish? || @system.strips? || document["steps"].none? { |step| step["role"] == "barrier" }

      # What lies on top and bears the use.
      # @return [Materials::Product]
      def top
        laid = document["steps"].reverse.select { |step| %w[coat oil].include?(step["kind"]) }
        step = laid.first || document["steps"].reverse.find { |one| one["product"] }
        @plan.shop.products.fetch(step["product"])
      end

      # @return [Hash{String=>Integer}] what it lacks for the use, by what that asks for
      def lacks = @lacks ||= Materials::Resistance.lacking(@piece.use, top, @asks)

      # @return [Hash{String=>Integer}] what it stands up to, 1 to 5
      def bears = Reference.uses.resists[top.class_id].to_h

      # @return [Integer] what it stands up to beyond what is asked, and where nothing is asked in all
      def spare
        bears.sum { |measure, has| [ has - (@asks[measure] || (@asks.empty? ? 1 : has)), 0 ].max }
      end

      # @return [Integer, nil] months to the next coat
      def renewed_after_months = Materials::Resistance.renewed_after_months(@piece.use, top)

      # @param due [Integer, nil]
      # @return [Integer] minutes
      def late_min(due) = due ? [ ready_at - due, 0 ].max : 0

      private

      def old_finish? = @piece.faces.each_value.any? { |face| %w[coated unknown].include?(face.dig("found", "is")) }

      def outlook = @outlook ||= Chance::Outlook.new(@plan, runs: RUNS)
      def walk = @walk ||= @plan.film(@piece.id, @plan.thickest_face(@piece.id))
    end
  end
end
