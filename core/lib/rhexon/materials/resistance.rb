module Rhexon
  module Materials
    # What a finish stands up to, 1 to 5, against what a use asks of it.
    module Resistance
      module_function

      # @param use [String, nil] show, furniture, table_top, bar_top, floor or marine
      # @param product [Product] what lies on top
      # @param asked [Hash{String=>Integer}] where it is more than the use asks
      # @return [Hash{String=>Integer}] by what it does not stand up to, how much it lacks; empty: none, or not known
      def lacking(use, product, asked = asks(use))
        own = Reference.uses.resists[product.class_id] or return {}
        asked.filter_map { |measure, least|
          lacks = least - own.fetch(measure) - shade(measure, product)
          [ measure, lacks ] if lacks.positive?
        }.to_h
      end

      # @return [Hash{String=>Integer}]
      def asks(use) = Reference.uses.asks[use] || {}

      # @param use [String, nil]
      # @param product [Product] what lies on top
      # @return [Integer, nil] months after which a fresh coat is due; nil: as it wears
      def renewed_after_months(use, product)
        Reference.uses.renewed_after_months[use == "marine" ? "outdoors" : "indoors"][product.class_id]
      end

      # @return [String] "spilt drink", inside a sentence
      def words(measure) = Reference.uses.words.fetch(measure)

      def shade(measure, product)
        measure == "weather" && product.colour == "pigmented" ? Reference.uses.weather_pigmented : 0
      end
      private_class_method :shade
    end
  end
end
