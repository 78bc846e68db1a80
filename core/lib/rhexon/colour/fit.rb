module Rhexon
  module Colour
    # What the shop's own boards teach: how its woods reflect under a film, and how strong a product really is. Says
    # how well it fits, and how far it holds.
    module Fit
      # @!attribute values  [Hash{String=>Float}]
      # @!attribute before, after [Float] mean difference (CIEDE2000) of prediction and reading, with the usual
      #   figures and with the fitted ones
      # @!attribute count   [Integer] readings
      # @!attribute range [Array(Float, Float), nil] of the factor that was varied; beyond it a prediction is an
      #   extrapolation
      Result = Struct.new(:values, :before, :after, :count, :range, keyword_init: true) do
        # @return [String]
        def label
          format("%d %s: mean difference %.1f before, %.1f with the shop's own figures", count,
                 count == 1 ? "reading" : "readings", before, after)
        end
      end
      STRENGTH = [ 0.2, 5.0 ].freeze
      # Golden section narrows to 0.618 each time: a thousandth after fourteen.
      ROUNDS = 14

      module_function

      # Surface shares from what was read on uncoloured cells under a film, on woods that were read bare.
      # @param labs [Array<Array<Numeric>>] L*a*b* read, D65
      # @yieldparam surface [Surface]
      # @yieldparam index [Integer] of the reading
      # @yieldreturn [Array<Float>] predicted L*a*b*
      # @return [Result] "s" and "k2w"
      # @raise [InvalidInput] without a reading
      def surface(labs)
        Rhexon.refuse_unless(
          labs.any?, "No board has both a bare and a coated reading", where: "pairs",
          accepted: "at least one of each on the same wood"
        )
        error = ->(s, k2w) {
          Surface.usual("s" => s, "k2w" => k2w).then { |surface|
            labs.each_with_index.sum { |lab, index| DeltaE.ciede2000(lab, yield(surface, index)) } / labs.size
          }
        }
        surface = Reference.colour.surface
        usual = [ surface.s, surface.k2w ]
        best = (0..12)
          .to_a
          .product((0..16).to_a)
          .map { |i, j| [ 0.005 * i, 0.05 * j ] }
          .min_by { |s, k2w| error.call(s, k2w) }
        Result.new(values: { "s" => best[0].round(3), "k2w" => best[1].round(2) }, before: error.call(*usual),
                   after: error.call(*best), count: labs.size).freeze
      end

      # How strong a product is against its figures, by readings on boards that differ in nothing else that is unknown.
      # @param readings [Array<Array(Numeric, Array<Numeric>)>] the factor varied (strength %, µm, coats), L*a*b*
      #   read, D65, and whatever else a prediction needs
      # @yieldparam strength [Float] multiplies the product's colour figures
      # @yieldparam factor [Numeric]
      # @yieldparam more [Object] the third of the reading
      # @yieldreturn [Array<Float>] predicted L*a*b*
      # @return [Result] "strength"
      # @raise [InvalidInput]
      def strength(readings)
        Rhexon.refuse_unless(
          readings.any?, "No board with that product was read", where: "readings", accepted: "at least one reading"
        )
        error = ->(strength) {
          readings.sum { |factor, lab, *more|
            DeltaE.ciede2000(lab, yield(strength, factor, *more))
          } /
            readings.size
        }
        minimum = least(error)
        Result.new(values: { "strength" => minimum.round(3) }, before: error.call(1.0), after: error.call(minimum),
                   count: readings.size, range: readings.map(&:first).minmax).freeze
      end

      # Golden section on the logarithm, from the best of a coarse row so that a second valley does not mislead.
      def least(error)
        row = (0..16).map { |step| STRENGTH[0] * (STRENGTH[1] / STRENGTH[0])**(step / 16.0) }
        at = row.each_index.min_by { |index| error.call(row[index]) }
        low, high = [ row[[ at - 1, 0 ].max], row[[ at + 1, 16 ].min] ].map { |value| Math.log(value) }
        golden = (Math.sqrt(5) - 1) / 2
        one, other = high - golden * (high - low), low + golden * (high - low)
        at_one, at_other = error.call(Math.exp(one)), error.call(Math.exp(other))
        ROUNDS.times do
          if at_one < at_other
            high, other, at_other = other, one, at_one
            at_one = error.call(Math.exp(one = high - golden * (high - low)))
          else
            low, one, at_one = one, other, at_other
            at_other = error.call(Math.exp(other = low + golden * (high - low)))
          end
        end
        Math.exp((low + high) / 2)
      end
      private_class_method :least
    end
  end
end
