module Rhexon
  module Prep
    # What rubs: a paper or sheet on one of the scales, or a pad, wool, powder or compound by name, with its mean grain.
    # The same number is not the same grain on two scales, so that a grit always names its own.
    # @!attribute scale  [String] P, cami (no prefix on the paper), cushion (cushioned cloth sheets) or rubbing: by name
    # @!attribute grit   [Integer, String]
    # @!attribute mean_um [Numeric]
    Abrasive = Struct.new(:scale, :grit, :mean_um, keyword_init: true) do
      # @param text [String] "P320", "cami-320", "cushion-4000", "wool-0000" or "compound-fine"
      # @param bare [String, nil] scale of a number without one; nil: it is asked for
      # @raise [InvalidInput]
      def self.read(text, bare: nil)
        return named(text) if Reference.abrasives.rubbing.key?(text)

        number, scale = written(text)
        number or refuse("#{text.to_s.inspect} is no grit",
                         "P320, 320 grit or cushioned 4000, or by name: #{self::RUBBING.join(", ")}")
        scale ||= bare || ask(number)
        mean = table.fetch(scale)[number] or
          refuse("There is no #{new(scale: scale, grit: number)}", all(scale).map(&:to_s).join(", "))
        new(scale: scale, grit: number, mean_um: mean).freeze
      end

      # @return [Array(Integer, String)] number and scale as written: "P320", "320 grit", "cami-320"; no scale: nil
      def self.written(text)
        match = self::WRITTEN.match(text.to_s) or return
        scale = match[:after] ? "cami" : match[:before]
        [ match[:number].to_i, scale && self::PREFIXES.fetch(scale.downcase) ]
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

      def self.named(name)
        new(scale: "rubbing", grit: name, mean_um: Reference.abrasives.rubbing.fetch(name).fetch("mean_um")).freeze
      end

      # A number alone may be several grains.
      def self.ask(number)
        here = self::PREFIXES.values.uniq.filter_map { |scale| all(scale).find { |known| known.grit == number } }
        refuse("#{number} is on no scale", all("P").map(&:to_s).join(", ")) if here.empty?
        refuse("#{number} may be #{here.map { |known|
          "#{known.words} (#{format("%g", known.mean_um)} µm)"
        }.join(" or ")}",
               "the grit with its scale")
      end

      def self.refuse(what, accepted) = raise(InvalidInput.new(what, where: "grits", accepted: accepted))

      # The grit of the other scale whose grain is nearest, by ratio.
      # @return [Abrasive]
      def counterpart
        self.class.all(scale == "P" ? "cami" : "P").min_by { |other| (Math.log(other.mean_um) - Math.log(mean_um)).abs }
      end

      def self.table = Reference.abrasives.scales
      private_class_method :table, :ask, :refuse, :named, :written

      # @return [Boolean] a paper or sheet on a scale
      def paper? = scale != "rubbing"

      # @return [String] paper, pad, wool, powder or compound
      def is = paper? ? "paper" : record.fetch("is")

      # @return [Numeric, nil] µm it takes from a film a pass; nil: a paper takes by its grain and purpose
      def removes_um = paper? ? nil : record.fetch("removes_um")

      # @return [Numeric] GU that it adds to the sheen that is there
      def adds_gu = paper? ? 0 : record.fetch("adds_gu", 0)

      # @return [Numeric, nil] GU that it leaves on a hard film where the table has it by name
      def own_sheen_gu = paper? ? nil : record["sheen_gu"]

      # @return [String] as it is said: "P320", "320 grit" (CAMI), "cushioned 4000", "fine compound"
      def words
        case scale
        when "cami" then "#{grit} grit"
        when "cushion" then "cushioned #{grit}"
        else paper? ? to_s : record.fetch("name")
        end
      end

      def to_s
        case scale
        when "P" then "P#{grit}"
        when "rubbing" then grit
        else "#{scale}-#{grit}"
        end
      end

      private

      def record = Reference.abrasives.rubbing.fetch(grit)
    end
    Abrasive::WRITTEN =
      /\A\s*(?:(?<before>p|cami|cushion|cushioned)[\s-]*)?(?<number>\d{2,5})(?<after>[\s-]*grit)?\s*\z/i
    Abrasive::PREFIXES = { "p" => "P", "cami" => "cami", "cushion" => "cushion", "cushioned" => "cushion" }.freeze
    Abrasive::RUBBING = Reference.abrasives.rubbing.keys.freeze
  end
end
