require "date"

module Rhexon
  module Stock
    # How long a product keeps, by its state on the shelf.
    module Keeping
      module_function

      # @param product [Materials::Product]
      # @param state [String] sealed, opened or mixed
      # @param since [Date] made, opened or mixed on
      # @param shellac_months [Numeric] the shop's school for mixed shellac
      # @return [Date, nil] last day; nil: the sheet sets no limit
      def until(product, state, since, shellac_months: nil)
        months = months(product, state, shellac_months)
        months && since >> months
      end

      # @return [Integer, nil]
      def months(product, state, shellac_months = nil)
        given = product.shelf_life_months
        return given[state] if given.key?(state)
        if product.class_id == "shellac" && state == "mixed"
          return (shellac_months || Mixing::Cut.defaults.keeps_months)
        end

        Reference.mixing
          .shelf_life_months
          .fetch(kind(product))[state == "sealed" ? "sealed" : "opened"]
      end

      # A blend of the shop's own.
      # @return [Date]
      def blend_until(made_on) = made_on >> Reference.mixing.shelf_life_months.fetch("blend").fetch("mixed")

      def kind(product)
        return "hardener" if product.hardener?
        return "flake" if product.class_id == "flake"
        return "water" if product.waterborne?

        product.mechanism == "oxidative" ? "oil" : "solvent"
      end
      private_class_method :kind
    end
  end
end
