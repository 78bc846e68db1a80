module Rhexon
  module Film
    # Least dry film that protects, by what the piece must stand up to and by how most of the film was laid.
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
        most = there(stack).group_by(&:way).max_by { |_, layers| layers.sum(&:laid_um) }.first
        table.least_by_way_um[most] || table.least_um[use]
      end

      # What was stripped off says nothing of what is there.
      def there(stack) = stack.layers.select(&:left?).then { |left| left.empty? ? stack.layers : left }

      def table = Reference.film
      private_class_method :there, :table
    end
  end
end
