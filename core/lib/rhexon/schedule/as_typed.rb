module Rhexon
  module Schedule
    # Fields of an edit as they were typed: a wet film in any unit, "24 h", a grit without its scale. A document keeps
    # µm, minutes and grits on their scale.
    class AsTyped
      GRITS = %w[grits scuff_with].freeze
      FILMS = %w[wet_um depth_um].freeze
      TIMES = %w[minutes own_minutes].freeze
      private_constant :GRITS, :FILMS, :TIMES

      # @param numbers [String] scale of a grit that is a number alone: P or cami
      # @param products [Hash{String=>Materials::Product}] of the shop, whose density a weight on the area asks for
      def initialize(numbers:, products: {})
        @numbers = numbers
        @products = products
      end

      # @param operation [Object] of {Edit}
      # @param document [Hash] that it changes
      # @return [Object] the same with figures for what was typed; what is none of it is left for the checks to refuse
      # @raise [InvalidInput] for a text that is no film or no time
      def read(operation, document)
        return operation unless operation.is_a?(Hash)

        operation.to_h { |name, value| [ name, part(name, value, operation, document) ] }
      end

      private

      def part(name, value, operation, document)
        case [ name, value ]
        in [ "operations", Array ] then value.map { |one| read(one, document) }
        in [ "step" | "set", Hash ] then fields(value, step(operation, document))
        else value
        end
      end

      def step(operation, document)
        document["steps"].find { |one| one["id"] == operation["id"] } || {}
      end

      def fields(set, step)
        set.to_h { |name, value| [ name, field(name, value, step.merge(set)) ] }
      end

      def field(name, value, step)
        return grits(value) if GRITS.include?(name)
        return value unless value.is_a?(String)

        where = "steps/#{step["id"]}/#{name}"
        case name
        when *FILMS then Rhexon::AsTyped.film_um(value, where: where, density_g_per_ml: density(step))
        when *TIMES then Rhexon::AsTyped.minutes(value, where: where)
        when "cut_lb_per_gal" then Mixing::TypedCut.read(value, where: where).lb_per_gal.round(3)
        else value
        end
      end

      def density(step)
        product = @products[step["product"]] if step["product"].is_a?(String)
        product&.density_g_per_ml&.value
      end

      def grits(value) = value.is_a?(Array) ? value.map { |one| grit(one) } : grit(value)

      def grit(value)
        value.is_a?(String) ? Prep::Abrasive.read(value, bare: @numbers).to_s : value
      rescue InvalidInput
        value
      end
    end
  end
end
