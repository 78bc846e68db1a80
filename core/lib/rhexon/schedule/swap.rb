module Rhexon
  module Schedule
    # Another product in a step: what goes on with it as its own sheet has it, and what belonged to the old one goes.
    # The one rule for a hand, a remedy, a board and a recipe.
    module Swap
      # Fields that are figures of the product that was: how it is mixed, thinned and set.
      BELONGS = %w[thinning thinner cut_lb_per_gal retarder hardener_parts strength_percent batches].freeze

      module_function

      # @param step [Hash] of a schedule document
      # @param product [Materials::Product] that takes the place of the one it has
      # @param tints [Array<String>, nil] ids of the colourants that go into it; nil: those that are there are kept
      # @return [Hash] what a change_step sets; nil values take fields away
      def set(step, product, tints: nil)
        method = method_for(step, product)
        { "product" => product.id, **(method == step["method"] ? {} : { "method" => method }),
          **film(step, product, method), **way(step, product), **tint(step, tints),
          **(BELONGS & step.keys).to_h { |field| [ field, nil ] } }
      end

      # The same product applied in another way: its wet film for that, and the gun of the old way goes.
      # @param product [Materials::Product] of the step
      # @param method [String]
      # @return [Hash] what a change_step sets
      def method_set(step, product, method)
        { "method" => method, "gun" => nil, "narrow" => nil, **film(step, product, method) }
      end

      # @return [Hash] the operation of Edit
      def operation(step, product) = { "op" => "change_step", "id" => step["id"], "set" => set(step, product) }

      # As it was done, else as the sheet has it first.
      def method_for(step, product)
        known = Kinds.methods(step["kind"], product)
        known.include?(step["method"]) || known.empty? ? step["method"] : known.first
      end

      # The wet film of the new sheet, where the step has one.
      def film(step, product, method)
        wet = product.wet_um(method)&.value if step["wet_um"]
        wet ? { "wet_um" => wet } : {}
      end

      # A filler is wiped off, a finish is rubbed in as a slurry: the product says which.
      def way(step, product)
        return {} unless step["kind"] == "fill"

        { "way" => Kinds.natures(product).include?("filler") ? "filler" : "slurry" }
      end

      def tint(step, tints)
        return {} unless step["tint"] && tints

        kept = step["tint"].select { |part| tints.include?(part["product"]) }
        { "tint" => kept.empty? ? nil : kept }
      end
      private_class_method :method_for, :film, :way, :tint
    end
  end
end
