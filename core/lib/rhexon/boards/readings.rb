module Rhexon
  module Boards
    # Readings of a cell brought to means, and which cell is best.
    module Readings
      # @!attribute lab [Array<Float>, nil] mean L*a*b*
      # @!attribute photo_lab [Array<Float>, nil] the same from photos: of low trust, and never mixed with what was read
      # @!attribute spectrum [Array<Float>, nil] mean reflectance, where an instrument gave it
      # @!attribute delta_e [Float, nil] CIEDE2000 of the mean to the wanted look
      # @!attribute means [Hash{String=>Float}] of every measure that was read, the difference to the wanted look
      #   included
      Summary = Struct.new(:lab, :photo_lab, :spectrum, :delta_e, :means, :count, keyword_init: true) do
        def gloss = means["gloss"]
        def blotch = means["blotch"]
        def liking = means["liking"]
      end

      module_function

      # Measures that are one number: their name, unit, range and what is accepted, by kind.
      # @return [Hash{String=>Hash}]
      def measures = @measures ||= Reference.judging.measures.select { |_, record| record["range"] }

      # @param kind [String] lab, spectrum, photo_lab, note or one of the measures
      # @param value [Object] [L*, a*, b*], a number, or text
      # @return [Object] the value, numbers as floats
      # @raise [InvalidInput]
      def check(kind, value)
        case kind
        when "note" then text(value)
        when "lab", "photo_lab" then Colour::Lab.check(value)
        when "spectrum" then Colour::Spectrum.check(value, where: "spectrum")
        when *measures.keys then number(kind, value)
        else raise InvalidInput.new(
          "A reading of #{kind.inspect} is not known", where: "kind",
          accepted: [ "lab", *measures.keys, "note" ].join(", ")
        )
        end
      end

      # @param readings [Array<Array(String, Object)>] kind and value
      # @param target_lab [Array<Numeric>, nil]
      # @return [Summary]
      def summary(readings, target_lab: nil)
        by_kind = readings.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        lab, photo = %w[lab photo_lab].map { |kind| by_kind[kind]&.transpose&.map { |channel| mean(channel) } }
        spectrum = by_kind["spectrum"]&.transpose&.map { |values| values.sum / values.size.to_f }
        off = lab && target_lab ? Colour::DeltaE.ciede2000(target_lab, lab).round(1) : nil
        Summary.new(
          lab: lab, photo_lab: photo, spectrum: spectrum, delta_e: off, count: readings.size,
          means: by_kind.slice(*measures.keys)
            .transform_values { |values| mean(values) }
            .merge({ "delta_e" => off }.compact).freeze
        )
      end

      # When a film is fully cured after its last coat, at the climate of its sheets.
      # @param layers [Array<Hash>]
      # @param products [Hash{String=>Materials::Product}]
      # @return [Numeric, nil] minutes; nil where nothing on it cures
      def full_cure_min(layers, products)
        layers.filter_map { |step| products[step["product"]]&.milestone("full_cure")&.value }.max
      end

      # @param cured_at [Numeric, nil] minute of full cure
      # @return [Boolean] whether a test that wants full cure was made before it
      def early?(kind, minute, cured_at) = wants_cure?(kind) && !cured_at.nil? && minute < cured_at

      # @return [Boolean] whether a measure is told only by a fully cured film
      def wants_cure?(kind) = measures.dig(kind, "cured") == true

      # The best cell: nearest to the wanted colour where one is stated and read, the best liked otherwise.
      # @param summaries [Hash{Object=>Summary}] sound cells only
      # @return [Object, nil] key of the best; nil when nothing tells them apart
      def best(summaries)
        near = summaries.select { |_, summary| summary.delta_e }
        return near.min_by { |_, summary| [ summary.delta_e, -(summary.liking || 0) ] }.first if near.any?

        liked = summaries.select { |_, summary| summary.liking }
        liked.max_by { |_, summary| summary.liking }&.first
      end

      def mean(values) = (values.sum / values.size.to_f).round(2)

      def number(kind, value)
        record = measures.fetch(kind)
        Rhexon.refuse_unless(
          value.is_a?(Numeric) && value.between?(*record["range"]),
          "#{record["name"].sub(/^./, &:upcase)} cannot be #{value.inspect}", where: kind, accepted: record["accepted"]
        )
        value.to_f
      end
      private_class_method :number

      def text(value)
        Rhexon.refuse_unless(value.is_a?(String) && value.strip.length.between?(1, 500), "A note needs words",
                             where: "note", accepted: "1 to 500 letters")
        value.strip
      end
      private_class_method :text
    end
  end
end
