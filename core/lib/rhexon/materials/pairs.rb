module Rhexon
  module Materials
    # The wait that belongs to two materials, lower and upper, not to either alone.
    module Pairs
      module_function

      # @param lower [Product]
      # @param upper [Product]
      # @return [Figure, nil] *recoat opens* of the lower under the upper, minutes at the sheet's climate. What the
      #   lower one's own sheet says
      #   of it wins outright; the table fills a gap only, and not where the sheet gives its recoat.
      def wait(lower, upper)
        own = lower.pair_wait_min(upper)
        if own
          return Figure.new(value: own, source: lower.milestone("recoat_opens")&.source || "its sheet", estimate: false)
        end

        recoat = lower.milestone("recoat_opens")
        return if recoat&.value && !recoat.estimate

        usual = table.waits
          .find { |row| fits?(row["lower"], lower) && fits?(row["upper"], upper) }
          &.fetch("min")
        if usual && (recoat&.value.nil? || usual > recoat.value)
          Figure.new(value: usual, source: source, estimate: true)
        else
          nil
        end
      end

      # @return [Boolean] a sheet names the pair, it is of one kind, or what keeps it apart is known
      def settled?(lower, upper)
        lower.class_id == upper.class_id || !lower.pair_wait_min(upper).nil? || lower.waxy? ||
          !refused(lower, upper).nil?
      end

      # What the lower one has to have reached before the upper one goes on: for some pairs its own recoat is too soon.
      # @return [String] a milestone
      def opens(lower, upper) = hard(lower, upper) || "recoat_opens"

      # @return [String, nil] a milestone; with it goes that the lower one is scuffed whenever the upper one comes
      def hard(lower, upper)
        return if lower.class_id == upper.class_id || lower.pair_wait_min(upper)

        usual(lower, upper)&.fetch("hard", nil)
      end

      # @return [String, nil] a milestone that the upper one waits for whatever its own recoat says
      def comes_to(lower, upper) = usual(lower, upper)&.fetch("opens", nil)

      # What keeps the upper one from going straight over the lower.
      # @return [Hash, nil] a row of the table: "why", "barrier", and "until" a milestone or "days" where it passes
      def refused(lower, upper)
        return if lower.class_id == upper.class_id || lower.pair_wait_min(upper)

        table.refused.find { |row| fits?(row["lower"], lower) && fits?(row["upper"], upper) }
      end

      # What usually holds over what.
      # @return [Hash, nil] a row of the table: "verdict" and "why"; nil: a pair that nobody knows
      def usual(lower, upper)
        table.usual.find { |row| fits?(row["lower"], lower) && fits?(row["upper"], upper) }
      end

      # @return [Boolean] over shellac that holds wax it peels off in sheets; other films often let go
      def sheds_on_wax?(upper) = %w[coalescing reactive].include?(upper.mechanism)

      # @return [Boolean] its solvents lift an old film
      def hot?(product) = fits?(table.hot, product)

      # Words by which a sheet names what goes over: waterborne, solvent films, oil varnish ...
      # @return [Array<String>] the narrowest first
      def names_of(product) = table.words.select { |_, selector| fits?(selector, product) }.keys

      # @return [Array<String>] all of them
      def names = table.words.keys

      def source = table.source

      def fits?(selector, product)
        selector.all? do |kind, values|
          values.include?(
            { "class" => product.class_id, "carrier" => product.carrier, "mechanism" => product.mechanism }.fetch(kind)
          )
        end
      end
      private_class_method :fits?

      def table = Reference.pairs
      private_class_method :table
    end
  end
end
