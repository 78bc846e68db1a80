module Rhexon
  module Film
    # Least dry film that protects, by what the piece must stand up to: an opinion about films that are built. What lies
    # in the wood or thin on it, wiped, padded or rubbed, has none.
    module MinimumThickness
      module_function

      # @param product [Materials::Product]
      # @param method [String]
      # @return [String] oil, wiped, padded (shellac) or builder
      def way(product, method)
        return "oil" if product.oil?
        return "wiped" if method == "wipe" || (method == "pad" && product.class_id != "shellac")

        method == "pad" ? "padded" : "builder"
      end

      # @param use [String, nil] show, furniture, table_top, bar_top, floor, marine
      # @param stack [Stack] with at least one film
      # @return [Numeric, nil] µm; nil when the use is not stated
      def um(use, stack)
        by_way = there(stack).group_by(&:way).transform_values { |layers| layers.sum(&:laid_um) }
        return table.least_um[use] if by_way.fetch("builder", 0) * 2 > by_way.values.sum

        table.least_by_way_um.fetch(by_way.except("builder").max_by(&:last)&.first, 0)
      end

      # @param method [String]
      # @return [Integer, nil] coats until a film without a least looks even; nil: a film that is built
      def usual_coats(method) = table.usual_coats[method]

      # @param film_um [Numeric] when done
      # @return [String, nil] caution or note; nil: thick enough, or short by what nobody can tell
      def short(film_um, least_um)
        share = 1 - film_um / least_um.to_f
        return if least_um.zero? || share < table.short_share.silent

        share <= table.short_share.note ? "note" : "caution"
      end

      # What was stripped off says nothing of what is there.
      def there(stack) = stack.layers.select(&:left?).then { |left| left.empty? ? stack.layers : left }

      def table = Reference.film
      private_class_method :there, :table
    end
  end
end
