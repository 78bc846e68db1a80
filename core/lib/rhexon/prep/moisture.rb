module Rhexon
  module Prep
    # Moisture of wood, % of its dry weight: what it comes to in the air of a place, and what readings say.
    module Moisture
      # @!attribute mean   [Float] %
      # @!attribute spread [Float] highest less lowest, %
      # @!attribute target [Float] % in the air of the place
      # @!attribute says   [String] unmeasured, wet, uneven, off or right
      Verdict = Struct.new(:mean, :spread, :target, :says, keyword_init: true)

      module_function

      # Equilibrium moisture content (USDA Wood Handbook, FPL-GTR-282, equation 4-5, in °C).
      # @param t_c [Numeric]
      # @param rh [Numeric] %, 0 to 100
      # @return [Float] %
      def equilibrium(t_c, rh)
        w, k, k1, k2 = COEFFICIENTS.map { |one, two, three| one + two * t_c + three * t_c**2 }
        kh = k * rh / 100.0
        bound = (k1 * kh + 2 * k1 * k2 * kh**2) / (1 + k1 * kh + k1 * k2 * kh**2)
        1800 / w * (kh / (1 - kh) + bound)
      end

      # What a pin meter's reading comes to in wood of another temperature than it is made for, and of another kind.
      # Temperature after Pfaff and Garrahan (1984, Forest Products Journal 34(3)); the kind by the points that the
      # meter's own table gives for it.
      # @param reading [Numeric] %
      # @param t_c [Numeric, nil] of the wood; nil: the meter corrects it, or it is at 20 °C
      # @param points [Numeric, nil] added for the kind of wood
      # @return [Float] %, 0 to 100
      def corrected(reading, t_c: nil, points: nil)
        at = if t_c
          (reading + 0.567 - 0.0260 * t_c + 0.000051 * t_c**2) / (0.881 * 1.0056**t_c)
        else
          reading
        end
        (at + points.to_f).clamp(0.0, 100.0).round(2)
      end

      # W, K, K1 and K2 by the temperature: constant, linear, squared.
      COEFFICIENTS = [
        [ 349, 1.29,
          0.0135 ], [ 0.805, 0.000736, -0.00000273 ], [ 6.27, -0.00938, -0.000303 ], [ 1.91, 0.0407, -0.000293 ]
      ].freeze
      private_constant :COEFFICIENTS

      # What readings say of a piece, in the air where it will live.
      # @param piece [#place_air, #use, #faces, #area_m2]
      # @return [Verdict, nil]
      def of(piece, readings)
        air = air_of(piece)
        verdict(readings, target: equilibrium(air["t_c"], air["rh"]), area_m2: piece.area_m2(piece.faces.keys),
                          indoors: piece.use != "marine")
      end

      # @return [Hash] "t_c" and "rh"; a heated room where the place is not known
      def air_of(piece)
        rule = Reference.limits.moisture
        piece.place_air || { "t_c" => rule.place_t_c, "rh" => rule.place_rh }
      end

      # @param readings [Array<Numeric>] as the meter gives them, corrected for species and temperature
      # @param target [Numeric] %
      # @param area_m2 [Numeric] of the piece: one reading is enough for a small part
      # @param indoors [Boolean]
      # @return [Verdict, nil] nil without readings
      def verdict(readings, target:, area_m2: 1.0, indoors: true)
        return if readings.empty?

        mean, spread = readings.sum / readings.size.to_f, readings.max - readings.min
        Verdict.new(mean: mean.round(2), spread: spread.round(2), target: target.round(2),
                    says: says(readings, mean, spread, target, area_m2, indoors)).freeze
      end

      def says(readings, mean, spread, target, area_m2, indoors)
        rule = Reference.limits.moisture
        return "wet" if mean > too_wet(target, indoors)
        return "unmeasured" if readings.size < rule.least_readings && area_m2 >= rule.small_part_m2
        return "uneven" if spread > rule.spread

        (mean - target).abs > rule.off_by ? "off" : "right"
      end

      # @return [Numeric] % above which nothing is laid on
      def too_wet(target, indoors)
        rule = Reference.limits.moisture
        indoors ? rule.wet : [ [ rule.wet, target + rule.wet_above_target ].max, rule.never_above ].min
      end
      private_class_method :says, :too_wet
    end
  end
end
