module Rhexon
  # An amount as somebody types it: "2oz", "1,5 l", "1½ cup", "500".
  # @!attribute kind  [Symbol] :mass or :volume
  # @!attribute value [Float] g or ml
  # @!attribute unit  [Symbol] as typed, of Units::SCALES
  class Typed
    GLYPHS = {
      "½" => "1/2", "¼" => "1/4", "¾" => "3/4", "⅓" => "1/3", "⅔" => "2/3", "⅛" => "1/8", "⅜" => "3/8", "⅝" => "5/8",
      "⅞" => "7/8"
    }.freeze
    NUMBER = %r{[-−]?\s*(?:\d+\s*[½¼¾⅓⅔⅛⅜⅝⅞]|[½¼¾⅓⅔⅛⅜⅝⅞]|\d+\s+\d+/\d+|\d+/\d+|\d[\d\s']*(?:[.,]\d+)*)}
    # Three digits after one comma: a decimal to some, thousands to others.
    BOTH = /\A(-?[1-9]\d{0,2}),(\d{3})\z/
    PATTERN = %r{\A(?<number>#{NUMBER})\s*(?<unit>[[:alpha:].][[:alpha:]\s.]*)?\z}
    NAMES = {
      "g" => :g, "gr" => :g, "gram" => :g, "grams" => :g, "kg" => :kg, "kilo" => :kg, "oz" => :oz, "ounce" => :oz,
      "ounces" => :oz, "lb" => :lb, "lbs" => :lb, "pound" => :lb, "pounds" => :lb, "ml" => :ml, "cc" => :ml,
      "l" => :l, "lt" => :l, "ltr" => :l, "liter" => :l, "litre" => :l, "liters" => :l, "litres" => :l,
      "fl oz" => :fl_oz, "floz" => :fl_oz, "us fl oz" => :fl_oz, "gal" => :gal, "us gal" => :gal, "gallon" => :gal,
      "gallons" => :gal, "pt" => :pt, "pint" => :pt, "pints" => :pt, "qt" => :qt, "quart" => :qt, "quarts" => :qt,
      "cup" => :cup, "cups" => :cup, "tsp" => :tsp, "teaspoon" => :tsp, "tbsp" => :tbsp, "tablespoon" => :tbsp
    }.freeze

    attr_reader :kind, :value, :unit

    def initialize(kind:, value:, unit:)
      @kind = kind
      @value = value
      @unit = unit
      freeze
    end

    # @param text [String]
    # @param wants [Symbol, nil] :mass or :volume when only one makes sense
    # @param unit [Symbol, nil] what a bare number means
    # @return [Typed]
    # @raise [InvalidInput] for what cannot be read, a unit of the other kind, and amounts that are not above 0
    def self.read(text, wants: nil, unit: nil, where: "amount")
      kept = text.to_s.strip
      match = PATTERN.match(kept) or
        raise InvalidInput.new("#{kept.inspect} is no amount", where: where, accepted: accepted(wants))
      value = number(match)
      typed = match[:unit].to_s.downcase.gsub(/[\s.]+/, " ").strip
      scale = typed.empty? ? unit : NAMES[typed]
      scale or
        raise InvalidInput.new(
          typed.empty? ? "#{kept.inspect} has no unit" : "#{typed.inspect} is no unit of this bench", where: where,
          accepted: accepted(wants)
        )
      kind = Units::SCALES[:mass].key?(scale) ? :mass : :volume
      refuse_kind(kept, kind, where) if wants && kind != wants
      Rhexon.refuse_unless(
        value.positive?, "#{kept.inspect} is nothing to pour", where: where, accepted: "more than 0"
      )
      new(kind: kind, value: Units.convert(value, from: scale, to: kind == :mass ? :g : :ml), unit: scale)
    end

    # "1 1/2", "1½", "1,5", "1.5", "1 500"
    def self.number(match, where = "amount")
      text = match[:number].strip
      sign = text.start_with?("-", "−") ? -1 : 1
      text = text.delete_prefix("-").delete_prefix("−").strip
      GLYPHS.each { |glyph, value| text = text.sub(/(\d?)\s*#{glyph}/) { "#{$1.empty? ? "0" : $1} #{value}" } }
      whole, fraction = text.split(%r{\s+(?=\d+/\d+\z)})
      whole, fraction = nil, whole if whole.include?("/")
      sign * (decimal(whole, where: where) + ratio(fraction))
    end

    # @param text [String] "1 1/2", "½", "1,5"
    # @return [Float]
    # @raise [InvalidInput]
    def self.figure(text, where: "amount")
      match = /\A(?<number>#{NUMBER})\z/.match(text.to_s.strip) or
        raise InvalidInput.new("#{text.to_s.strip.inspect} is no number", where: where,
                               accepted: "such as 1.5, 1,5 or 1 1/2")
      number(match, where)
    end

    # A plain number, "1.5", "1,5", "1 500" or "1,500.5"; where a comma can be both, it is asked.
    # @return [Float]
    # @raise [InvalidInput]
    def self.decimal(text, where: "amount")
      return 0.0 unless text

      plain = text.to_s.gsub(/[\s']/, "")
      if (match = BOTH.match(plain))
        raise InvalidInput.new(
          "#{text.to_s.strip} may be #{match[1]}.#{match[2]} or #{match[1]}#{match[2]}", where: where,
          accepted: "#{match[1]}.#{match[2]} or #{match[1]}#{match[2]}, written without the comma"
        )
      end
      plain = plain.match?(/\A-?[1-9]\d{0,2}(,\d{3})+(\.\d+|(?:,\d{3})+)?\z/) ? plain.delete(",") : plain.tr(",", ".")
      Float(plain, exception: false) ||
        raise(
          InvalidInput.new("#{text.to_s.inspect} is no number", where: where, accepted: "such as 1.5, 1,5 or 1 1/2")
        )
    end

    def self.ratio(text)
      return 0.0 unless text

      above, below = text.split("/").map(&:to_f)
      Rhexon.refuse_unless(below.positive?, "#{text} is no fraction", where: "amount")
      above / below
    end

    def self.refuse_kind(text, kind, where)
      hint = text.match?(/oz/i) ? ". An oz is a weight; a volume is written fl oz" : ""
      raise InvalidInput.new(
        if kind == :mass
          "#{text.inspect} is a weight, a volume is asked#{hint}"
        else
          "#{text.inspect} is a volume, a weight is asked"
        end,
        where: where, accepted: accepted(kind == :mass ? :volume : :mass)
      )
    end

    def self.accepted(wants)
      {
        mass: "a weight such as 250 g, 1.5 kg or 2 oz", volume: "a volume such as 500 ml, 1,5 l, 8 fl oz or 1½ cup"
      }.fetch(wants, "an amount such as 500 ml, 1,5 l, 250 g or 2 oz")
    end
    private_class_method :new, :number, :ratio, :refuse_kind, :accepted
  end
end
