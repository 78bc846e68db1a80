module Rhexon
  module Planning
    # Quick coats of one step that are laid in one sitting: set up once, one person, in turn while the first of them
    # dries. Reads +@shop+ and +@piece+ of the expansion it is part of.
    module Sittings
      # Whether coats of a step are laid in one sitting, where nobody says: what may be recoated so soon, and what is
      # padded with spirit.
      # @param step [Hash]
      # @param product [Materials::Product, nil]
      # @return [Boolean]
      def self.usual?(step, product)
        return false unless possible?(step, product)

        recoat_min(step, product) <= limits["usual_recoat_min"] ||
          (step["method"] == "pad" && product.mechanism == "evaporative")
      end

      # @return [Boolean] whether they are, by the step or as is usual
      def self.asked?(step, product) = step.fetch("one_sitting") { usual?(step, product) }

      # @return [Boolean] whether its coats follow each other fast enough for one sitting at all
      def self.possible?(step, product) = within?(step, product, "most_recoat_min")

      # @return [Boolean] whether the next coat follows before pot and tool are cleaned
      def self.goes_on?(step, product) = within?(step, product, "goes_on_min")

      def self.within?(step, product, limit)
        recoat = recoat_min(step, product) if product&.film? && step["method"] && !step["wipe_off"]
        !recoat.nil? && recoat <= limits[limit]
      end

      def self.recoat_min(step, product) = product.milestone("recoat_opens", step["method"])&.value
      def self.limits = Reference.hands.sitting
      private_class_method :within?, :recoat_min, :limits

      private

      # Puts coats together, as many as fit a stretch of somebody's hours.
      # @param coats [Array<Array<Pass>>] passes of each coat of one step and round, not frozen yet
      def sit(coats)
        coats.drop(1).flatten.each { |pass| pass.goes_on = true if Sittings.goes_on?(pass.step, pass.product) }
        return coats.each { |passes| one_after_the_other(passes) } unless sits?(coats)

        sessions = coats.each_slice(coats_in_one(coats)).map(&:flatten)
        sessions.each { |passes| join(passes) }
        sessions.each_cons(2) { |before, after| rest(before, after) if after.first.method == "pad" }
      end

      # Faces of one coat that nothing has to dry between, of the same pieces.
      def one_after_the_other(passes)
        laid = passes.reject(&:inserted)
        return if laid.size < 2 || laid.any?(&:hard) || laid.any?(&:sections) || laid.map(&:range).uniq.size > 1
        return if turned?([ laid ]) || laid.size < passes.size

        join(laid) if laid.sum(&:work_min) + laid.first.setup_min + laid.first.cleanup_min <= longest(laid.first.step)
      end

      def join(passes)
        passes.drop(1).each { |pass| pass.setup_min, pass.sitting = 0, passes.first.index }
        passes[0...-1].each { |pass| pass.cleanup_min = 0 }
      end

      def sits?(coats)
        first = coats.dig(0, 0)
        return false unless coats.size > 1 && first.film? && coats.flatten.none?(&:hard)

        step = first.step
        return false if @piece.house["coats_a_day"] || step["coats_a_day"]

        Sittings.asked?(step, first.product) && Sittings.possible?(step, first.product) && !turned?(coats)
      end

      # Work that lies until it can be turned leaves no sitting.
      def turned?(coats)
        coats.first.map(&:faces).uniq.size > 1 && Turns.support(@piece, coats.dig(0, 0).step) == "flat"
      end

      # In the slowest air of the days to come.
      def coats_in_one(coats)
        first = coats.dig(0, 0)
        opens = first.product.milestone("recoat_opens", first.method).value
        slowest = week_of_air(first.room).uniq.map { |air| Drying::Rate.factors(first.product, "early", air).rate }.min
        wait = slowest.positive? ? opens / [ slowest, 1.0 ].min : opens
        each = [ coats.first.sum(&:work_min), wait ].max + Calendar::GRID
        sitting = Reference.hands.sitting
        most = ([ longest(first.step), sitting["most_min"] ].min / each).floor.clamp(1, coats.size)
        first.method == "pad" ? [ most, sitting["padded_coats"] ].min : most
      end

      # Padded films rest until the next day between sessions.
      def rest(before, after)
        after.each { |pass| pass.after_day ||= before.last.index }
      end
    end
  end
end
