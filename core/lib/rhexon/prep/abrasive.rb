module Rhexon
  module Prep
    # An abrasive on one of the scales, by its mean grain. The same number is not the same grain on two scales, so
    # that a grit always names its own.
    # @!attribute scale  [String] P, cami (no prefix on the paper) or cushion (cushioned cloth sheets)
    # @!attribute grit   [Integer]
    # @!attribute mean_um [Numeric]
    Abrasive = Struct.new(:scale, :grit, :mean_um, keyword_init: true) do
      # @param text [String] "P320", "cami-320" or "cushion-4000"
      # @param bare [String, nil] scale of a number without one; nil: it is asked for
      # @raise [InvalidInput]
      def self.read(text, bare: nil)
        match = self::WRITTEN.match(text.to_s) or
          refuse("#{text.to_s.inspect} is no grit", "P320, cami-320 or cushion-4000")
        number = match[2].to_i
        scale = match[1] ? self::PREFIXES.fetch(match[1].downcase) : bare || ask(number)
        mean = table.fetch(scale)[number] or
          refuse("There is no #{new(scale: scale, grit: number)}", all(scale).map(&:to_s).join(", "))
        new(scale: scale, grit: number, mean_um: mean).freeze
      end

      # The same for what was written before grits were asked for: the nearest of its scale.
      # @return [Abrasive]
      def self.near(text)
        read(text)
      rescue InvalidInput
        number = text.to_s[/\d+/].to_i
        all("P").min_by { |known| (known.grit - number).abs }
      end

      # @return [Array<Abrasive>] of a scale, coarsest first
      def self.all(scale) = table.fetch(scale).map { |grit, mean| new(scale: scale, grit: grit, mean_um: mean).freeze }

      # A number alone may be several grains.
      def self.ask(number)
        here = self::PREFIXES.values.uniq.filter_map { |scale| all(scale).find { |known| known.grit == number } }
        refuse("#{number} is on no scale", all("P").map(&:to_s).join(", ")) if here.empty?
        refuse("#{number} may be #{here.map { |known| "#{known} (#{format("%g", known.mean_um)} µm)" }.join(" or ")}",
               "the grit with its scale")
      end

      def self.refuse(what, accepted) = raise(InvalidInput.new(what, where: "grits", accepted: accepted))

      # The grit of the other scale whose grain is nearest, by ratio.
      # @return [Abrasive]
      def counterpart
        self.class.all(scale == "P" ? "cami" : "P").min_by { |other| (Math.log(other.mean_um) - Math.log(mean_um)).abs }
      end

      def self.table = Reference.abrasives.scales
      private_class_method :table, :ask, :refuse

      def to_s = scale == "P" ? "P#{grit}" : "#{scale}-#{grit}"
    end
    Abrasive::WRITTEN = /\A\s*(?:(p|cami|cushion)[\s-]*)?(\d{2,5})\s*\z/i
    Abrasive::PREFIXES = { "p" => "P", "cami" => "cami", "cushion" => "cushion" }.freeze
  end
end
