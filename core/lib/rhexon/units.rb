module Rhexon
  # Conversion between the stored SI unit of a quantity and the units a shop reads.
  # Exact by definition: 1 in = 25.4 mm, 1 lb = 453.59237 g, 1 US gal = 3.785411784 L (NIST SP 811, appendix B).
  module Units
    LB_G = 453.59237
    US_GAL_L = 3.785411784
    US_FL_OZ_ML = 29.5735295625
    MIL_UM = 25.4
    SQ_FT_M2 = 0.09290304

    # quantity => unit => size of one unit in the stored unit (first of each row).
    SCALES = {
      mass: { g: 1.0, kg: 1000.0, oz: LB_G / 16, lb: LB_G },
      volume: {
        ml: 1.0, l: 1000.0, fl_oz: US_FL_OZ_ML, gal: US_GAL_L * 1000, qt: US_GAL_L * 250, pt: US_GAL_L * 125,
        cup: US_FL_OZ_ML * 8, tbsp: US_FL_OZ_ML / 2, tsp: US_FL_OZ_ML / 6
      },
      film: { um: 1.0, mil: MIL_UM },
      area: { m2: 1.0, ft2: SQ_FT_M2 },
      cut: { g_per_l: 1.0, lb_per_gal: LB_G / US_GAL_L },
      spread: { m2_per_l: 1.0, ft2_per_gal: SQ_FT_M2 / US_GAL_L },
      time: { min: 1.0, h: 60.0, d: 1440.0 }
    }.transform_values(&:freeze).freeze

    SYMBOLS = {
      g: "g", kg: "kg", oz: "oz", lb: "lb", ml: "ml", l: "L", fl_oz: "US fl oz", gal: "US gal", qt: "US qt",
      pt: "US pt", cup: "US cup", tbsp: "tbsp", tsp: "tsp", um: "µm", mil: "mil", m2: "m²", ft2: "ft²", g_per_l: "g/L",
      lb_per_gal: "lb cut", m2_per_l: "m²/L", ft2_per_gal: "ft²/gal", min: "min", h: "h", d: "d", c: "°C", f: "°F"
    }.freeze

    module_function

    # @param value [Numeric] an amount in the unit +from+
    # @return [Float] the same amount in the unit +to+
    # @raise [InvalidInput] when the units are unknown or belong to different quantities
    def convert(value, from:, to:)
      return temperature(value, from, to) if [ from, to ].all? { |unit| %i[c f].include?(unit) }

      scale = SCALES.each_value.find { |units| units.key?(from) && units.key?(to) }
      unless scale
        raise InvalidInput.new("Cannot turn #{from} into #{to}", where: "unit", accepted: "two units of one quantity")
      end

      value * scale.fetch(from) / scale.fetch(to)
    end

    # Area one litre covers before transfer losses: 1000 / wet film (m²/L, µm).
    def spread_m2_per_l(wet_um) = 1000.0 / wet_um

    # Area one US gallon covers: 1604 / wet film (ft²/gal, mil); 1604 = 231 in³ / 144 in² * 1000.
    def spread_ft2_per_gal(wet_mil) = 231_000.0 / 144 / wet_mil

    # @param minutes [Numeric]
    # @return [String] "45 min", "3 h 05", "4 d 20 h 40"
    def duration(minutes)
      whole = minutes.round
      return "#{whole} min" if whole < 60

      hours, rest = whole.divmod(60)
      return format("%d h %02d", hours, rest) if hours < 48

      format("%d d %d h %02d", hours / 24, hours % 24, rest)
    end

    def temperature(value, from, to)
      return value.to_f if from == to

      from == :f ? (value - 32) / 1.8 : value * 1.8 + 32
    end
    private_class_method :temperature
  end
end
