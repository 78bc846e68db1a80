module Rhexon
  module Drying
    # Air that a product may be laid on in.
    module Application
      module_function

      # What its sheet or class says; a waterborne film must close while it is wet (limits.yml).
      # @param product [Materials::Product]
      # @return [Numeric, nil] °C; nil: it is laid in any air
      def least_c(product)
        return product.least_air_c.value if product.least_air_c
        return unless product.waterborne?

        limits = Reference.limits
        closes = product.minimum_film_c&.value
        [ limits.waterborne_least_c, *(closes && closes + limits.above_minimum_film_c) ].max
      end

      # @return [Boolean]
      def warm_enough?(product, t_c) = t_c >= (least_c(product) || -Float::INFINITY)
    end
  end
end
