module Rhexon
  # Figures as somebody types them, with the unit that is on the can or the sheet: "4 mil", "150 g/m²", "24 h".
  module AsTyped
    FIGURE = /\A(?<number>#{Typed::NUMBER})\s*(?<unit>[^\d\s][^\d]*\d?[^\d]*)?\z/
    # Wet film, µm, of one unit; of a spread the other way round.
    FILMS = {
      "" => ->(value, _) { value }, "um" => ->(value, _) { value }, "mil" => ->(value, _) { value * Units::MIL_UM },
      "ml/m2" => ->(value, _) { value }, "g/m2" => ->(value, density) { value / density },
      "m2/l" => ->(value, _) { Units.spread_m2_per_l(value) },
      "ft2/gal" => ->(value, _) { Units.spread_ft2_per_gal(value) * Units::MIL_UM }
    }.freeze
    FILM_NAMES = {
      "µm" => "um", "μm" => "um", "micron" => "um", "microns" => "um", "my" => "um", "mils" => "mil", "thou" => "mil",
      "gsm" => "g/m2", "g/sqm" => "g/m2", "ml/sqm" => "ml/m2", "sqm/l" => "m2/l", "sqft/gal" => "ft2/gal",
      "sqft/gallon" => "ft2/gal", "ft2/gallon" => "ft2/gal"
    }.freeze
    TIMES = {
      "m" => 1, "min" => 1, "mins" => 1, "minute" => 1, "minutes" => 1, "h" => 60, "hr" => 60, "hrs" => 60,
      "hour" => 60, "hours" => 60, "d" => 1440, "day" => 1440, "days" => 1440, "week" => 10_080, "weeks" => 10_080
    }.freeze
    SPAN = /(#{Typed::NUMBER})\s*([[:alpha:]]+)?/
    private_constant :FIGURE, :FILMS, :FILM_NAMES, :TIMES, :SPAN

    module_function

    # @param text [String] "100", "4 mil", "150 g/m²", "150 ml/m²", "10 m²/L", "400 ft²/gal"
    # @param density_g_per_ml [Numeric, nil] of the product; nil: a weight on the area cannot be read
    # @return [Float] µm of wet film; a number alone is µm
    # @raise [InvalidInput]
    def film_um(text, where:, density_g_per_ml: nil)
      value, unit = figure(text, where: where, accepted: films)
      unit = unit.tr("²", "2").delete(" .").downcase
      unit = FILM_NAMES.fetch(unit, unit)
      refuse(text, where, films) unless FILMS.key?(unit) && value.positive?
      Rhexon.refuse_unless(
        unit != "g/m2" || density_g_per_ml, "#{text.strip} is a weight, and the density is not known", where: where,
        accepted: films
      )
      FILMS.fetch(unit).call(value, density_g_per_ml).round(2)
    end

    # @param text [String] "90", "24 h", "1 h 30", "1:30", "2 days"
    # @return [Integer] minutes; a number alone is minutes
    # @raise [InvalidInput]
    def minutes(text, where:)
      clock = /\A\s*(\d+):([0-5]\d)\s*\z/.match(text.to_s)
      return clock[1].to_i * 60 + clock[2].to_i if clock

      parts = text.to_s.strip.scan(SPAN)
      rest = text.to_s.gsub(SPAN, "").gsub(/[\s,]|and/, "")
      sizes = parts.each_with_index.map { |(_, unit), at|
        TIMES[unit&.downcase || (at.zero? ? "min" : finer(parts[at - 1]))]
      }
      refuse(text, where,
             "a time such as 90, 24 h, 1 h 30 or 2 days") if parts.empty? || rest != "" || sizes.any?(&:nil?)
      parts.each_with_index.sum { |(number, _), at| Typed.figure(number, where: where) * sizes[at] }.round
    end

    # @param accepted [String] what the refusal says
    # @return [Array(Float, String)] number and unit, as typed
    # @raise [InvalidInput]
    def figure(text, where:, accepted:)
      match = FIGURE.match(text.to_s.strip) or refuse(text, where, accepted)
      [ Typed.figure(match[:number], where: where), match[:unit].to_s.strip ]
    end

    def finer(part) = { "d" => "h", "h" => "min" }[part.last&.downcase&.[](0)]
    def films = "a wet film such as 100 µm, 4 mil, 120 g/m², 120 ml/m², 9 m²/L or 360 ft²/gal"

    # @raise [InvalidInput]
    def refuse(text, where, accepted)
      raise InvalidInput.new("#{text.to_s.strip.inspect} is not understood", where: where, accepted: accepted)
    end
    private_class_method :finer, :films
  end
end
