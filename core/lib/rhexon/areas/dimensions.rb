module Rhexon
  module Areas
    # The size of a face as it is read off a rule: "1600 x 750 mm", "5' 3\" x 29 1/2 in", "6 x 1600 x 400 mm", shapes by
    # their names ("round 600 mm", "12 rods 25 x 900", "open box 600 x 400 x 300"), several of them joined by +.
    module Dimensions
      # Sizes of the units of length, m.
      METRES = { "mm" => 0.001, "cm" => 0.01, "m" => 1.0, "in" => 0.0254, "\"" => 0.0254, "ft" => 0.3048,
                 "'" => 0.3048 }.freeze
      NUMBER = %r{\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?}
      LENGTH = /\A(?:(?<feet>#{NUMBER})\s*(?:'|ft)\s*)?(?:(?<number>#{NUMBER})\s*(?<unit>mm|cm|m|in|")?)?\z/
      UNIT = /(?:mm|cm|m|in|ft|"|')\z/
      TIMES = /\s*[x×*]\s*/i
      COUNT = /\A(?<count>\d{1,4})\s+(?=[^\d\s])/
      ACCEPTED = "1600 x 750 mm, 5' 3\" x 29 1/2 in, round 600 mm, 6 x 1600 x 400 mm, 12 rods 25 x 900, " \
                 "taper 40 x 25 x 700, box, open box, edges, frame or profiled, several joined by +".freeze

      module_function

      # @return [Boolean] a size and not an area by itself
      def size?(text) = text.to_s.match?(/[x×*ø+'"]|#{Shapes.word}|[mc]m\b|\bin\b|\bft\b/i)

      # @param text [String] lengths without a unit are mm
      # @return [Float] m²
      # @raise [InvalidInput] for what is no size, and sizes of nothing
      def m2(text, where: "area_m2")
        ask(text, where)
        area = text.to_s.split("+").sum { |part| part_m2(part.strip) or refuse(part, where) }
        area.positive? ? area.round(6) : refuse(text, where)
      end

      # How what is sized up by its shapes is formed, by the largest of them.
      # @return [String] of Work::Extent::SHAPES
      def form(text)
        largest = text.to_s.split("+").max_by { |part| part_m2(part.strip) || 0 }
        named(largest.to_s.strip).last&.first&.form || "flat"
      end

      # @return [Array] how many, and the shape that is named with its lengths
      def named(part)
        counted = COUNT.match(part)
        [ counted, Shapes.named((counted ? counted.post_match : part).downcase) ]
      end

      def part_m2(part)
        counted, (shape, lengths) = named(part)
        return shaped(shape, lengths, (counted || { count: 1 })[:count].to_i) if shape

        sides = part.split(TIMES)
        return unless sides.size.between?(2, 3)

        count = sides.size == 3 ? sides.shift : "1"
        return unless count.match?(/\A\d{1,4}\z/)

        unit = sides.reverse.filter_map { |side| side.downcase[UNIT] }.first
        lengths = sides.map { |side| length(side, unit) }
        lengths.all? && count.to_i * lengths.inject(:*)
      end

      # @param text [String] its lengths
      # @return [Float, nil] m²; nil: it has other lengths than that shape
      def shaped(shape, text, count)
        sides = text.split(TIMES)
        unit = sides.reverse.filter_map { |side| side.downcase[UNIT] }.first
        lengths = sides.map { |side| length(side, unit) }
        count * shape.area.call(*lengths) if lengths.size == shape.lengths && lengths.all?
      end

      # @param unit [String, nil] what a number without a unit is in
      # @return [Float, nil] m
      def length(text, unit)
        match = LENGTH.match(text.downcase.tr("″′", "\"'").strip)
        return unless match && (match[:feet] || match[:number])

        feet = match[:feet] ? number(match[:feet]) * METRES["ft"] : 0
        left = match[:unit] || (match[:feet] ? "in" : unit || "mm")
        feet + (match[:number] ? number(match[:number]) * METRES.fetch(left) : 0)
      end

      def number(text)
        text.split.sum { |part| part.include?("/") ? Rational(part).to_f : Float(part.tr(",", ".")) }
      rescue ZeroDivisionError
        0.0
      end

      # Three digits after a comma are thousands to some and a decimal to others: 1,600 mm is asked about.
      def ask(text, where)
        both = text.to_s[/\d{1,3},\d{3}(?!\d)/] or return

        raise InvalidInput.new("#{both} may be #{both.tr(",", ".")} or #{both.delete(",")}", where: where,
                                                                                            accepted: ACCEPTED)
      end

      def refuse(part, where)
        raise InvalidInput.new("#{part.to_s.strip.inspect} is no size", where: where, accepted: ACCEPTED)
      end
      private_class_method :named, :part_m2, :shaped, :length, :number, :ask, :refuse
    end
  end
end
