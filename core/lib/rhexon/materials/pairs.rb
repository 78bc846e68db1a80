module Rhexon
  module Materials
    # The wait that belongs to two materials, lower and upper, not to either alone.
    module Pairs
      module_function

      # @param lower [Product]
      # @param upper [Product]
      # @return [Numeric, nil] *recoat opens* of the lower under the upper, minutes at the sheet's climate;
      #   the lower product's own sheet wins over the table
      def wait_min(lower, upper)
        lower.pair_wait_min(upper.id) || table.fetch("waits").find { |row| fits?(row["lower"], lower) && fits?(row["upper"], upper) }&.fetch("min")
      end

      def source = table.fetch("source")

      def fits?(selector, product)
        selector.all? do |kind, values|
          values.include?({ "class" => product.class_id, "carrier" => product.carrier, "mechanism" => product.mechanism }.fetch(kind))
        end
      end
      private_class_method :fits?

      def table = Reference.table("pairs")
      private_class_method :table
    end
  end
end
