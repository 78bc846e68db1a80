module Rhexon
  module Mixing
    # Whole packs that cover what is short, at the least cost.
    module Packs
      # A pack and how many of it.
      Choice = Struct.new(:g, :words, :count, :price, keyword_init: true)
      # Largest number of one pack that is tried beside larger ones.
      MOST_SMALL = 12

      module_function

      # @param pack [Hash] {"g" or "ml", "price"}
      # @param product [Materials::Product] for its density
      # @return [Float]
      def grams(pack, product) = pack["g"] || pack.fetch("ml") * product.density_g_per_ml.value

      # @return [Array<Choice>] largest pack first; empty when the product has no packs
      def cover(short_g, product)
        sizes = product.packs.map { |pack| [ grams(pack, product), pack ] }.sort_by { |g, _| -g }
        return [] if sizes.empty? || short_g <= 0

        best = cheapest(short_g, sizes)
        best.zip(sizes).filter_map do |count, (g, pack)|
          Choice.new(g: g, words: label(pack), count: count, price: pack["price"]) if count.positive?
        end
      end

      def cost(choices) = choices.sum { |choice| (choice.price || 0) * choice.count }

      # @return [String] "5 L", "500 g"
      def label(pack)
        amount, small, large = pack["ml"] ? [ pack["ml"], "ml", "L" ] : [ pack["g"], "g", "kg" ]
        amount >= 1000 ? "#{format("%g", amount / 1000.0)} #{large}" : "#{format("%g", amount)} #{small}"
      end

      def cheapest(short_g, sizes)
        best = nil
        counts(short_g, sizes).each do |counted|
          value = [
            counted.zip(sizes).sum { |count, (_, pack)| count * (pack["price"] || 0) },
            counted.zip(sizes).sum { |count, (g, _)| count * g }, counted.sum
          ]
          best = [ value, counted ] if best.nil? || (value <=> best.first).negative?
        end
        best.last
      end

      # Every sensible way to reach the amount: all numbers of the larger packs, the rest in the smallest.
      def counts(short_g, sizes)
        (g, _), *smaller = sizes
        needed = (short_g / g - 1e-9).ceil
        return [ [ [ needed, 0 ].max ] ] if smaller.empty?

        ([ needed - MOST_SMALL, 0 ].max..needed).flat_map do |count|
          counts([ short_g - count * g, 0 ].max, smaller).map { |rest| [ count, *rest ] }
        end
      end
      private_class_method :cheapest, :counts
    end
  end
end
