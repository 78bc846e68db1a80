module Rhexon
  module Mixing
    # A ratio recipe: components in order of addition. Mass of component i is m_i = V_i * rho_i; mixing volumes are
    # taken as additive.
    class Recipe
      READINGS = [ %w[base volume], %w[base mass], %w[total volume], %w[total mass] ].freeze
      # What shares of the total may miss 100 by, percent.
      SLACK = 0.5

      attr_reader :components

      # @param records [Array<Hash>] components of rhexon-mix/1
      # @raise [InvalidInput]
      def initialize(records, where: "components")
        @components = records.each_with_index.map { |record, index| Component.new(record, first: index.zero?) }.freeze
        names = components.map(&:name)
        Rhexon.refuse_unless(names.any?, "A mix needs at least one component", where: where)
        Rhexon.refuse_unless(
          names.uniq.size == names.size, "Two components are called #{names.find { |name| names.count(name) > 1 }}",
          where: where, accepted: "a name of its own for each"
        )
        @unit_ml = solve(where).freeze
        check_base!(where)
        freeze
      end

      def base = components.first

      # Volumes for one ml of base, in order.
      # @return [Array<Float>]
      attr_reader :unit_ml

      def unit_g = components.zip(unit_ml).map { |component, ml| ml * component.density_g_per_ml }
      def density_g_per_ml = unit_g.sum / unit_ml.sum
      def estimate? = components.any?(&:estimate?)
      def index(name) = components.index { |component| component.name == name }

      # @return [Array<Float>] of the total, 0 to 1
      def mass_shares = unit_g.then { |grams| grams.map { |g| g / grams.sum } }

      # One amount read in one of the four readings.
      # @param amounts_g [Array<Float>] grams of every component
      # @return [Float] parts to 100 of base (in the base's own number of parts), or percent of the total
      def reading(index, amounts_g, of:, basis:)
        amounts =
          basis == "mass" ? amounts_g : amounts_g.zip(components).map { |g, component| g / component.density_g_per_ml }
        of == "base" ? amounts[index] / amounts[0] * base_parts : amounts[index] / amounts.sum * 100
      end

      # All four readings of each component.
      # @return [Array<Hash{Array(String, String)=>Float}>]
      def readings
        components.each_index.map do |index|
          READINGS.to_h { |of, basis| [ [ of, basis ], reading(index, unit_g, of: of, basis: basis) ] }
        end
      end

      # The share of a component as its recipe states it, for other amounts.
      def own_reading(index, amounts_g)
        reading(index, amounts_g, of: components[index].of, basis: components[index].basis)
      end

      # Final shares of the raw materials of a blend of blends.
      # @return [Hash{String=>Float}] name => share of the total mass
      def flattened
        components.zip(mass_shares).each_with_object(Hash.new(0.0)) do |(component, share), shares|
          inner = component.recipe ? component.recipe.flattened : { component.name => 1.0 }
          inner.each { |name, part| shares[name] += share * part }
        end
      end

      # Parts that stand for the whole base.
      def base_parts = base.of == "base" ? base.parts : 100.0

      private

      # Shares of the base are known at once; shares of the total follow from two equations, one for volume and one
      # for mass:
      #   V = A + a V + b M and M = B + c V + d M.
      def solve(where)
        of_total = components.drop(1).select { |component| component.of == "total" }
        of_base = components.drop(1) - of_total
        volumes = of_base.to_h { |component| [ component, of_base_ml(component) ] }.merge(base => 1.0)
        known_v = volumes.values.sum
        known_m = volumes.sum { |component, ml| ml * component.density_g_per_ml }
        total_v, total_m = totals(of_total, known_v, known_m, where)
        of_total.each do |component|
          volumes[component] = component.basis ==
            "volume" ? component.parts / 100 * total_v : component.parts / 100 * total_m / component.density_g_per_ml
        end
        components.map { |component| volumes.fetch(component) }
      end

      def of_base_ml(component)
        share = component.parts / base_parts
        component.basis == "volume" ? share : share * base.density_g_per_ml / component.density_g_per_ml
      end

      def totals(of_total, known_v, known_m, where)
        by_volume, by_mass = of_total.partition { |component| component.basis == "volume" }
        a = by_volume.sum { |component| component.parts / 100 }
        b = by_mass.sum { |component| component.parts / 100 / component.density_g_per_ml }
        c = by_volume.sum { |component| component.parts / 100 * component.density_g_per_ml }
        d = by_mass.sum { |component| component.parts / 100 }
        determinant = (1 - a) * (1 - d) - b * c
        refuse_shares(where) unless determinant.positive? && a + d < 1
        [ (known_v * (1 - d) + b * known_m) / determinant, (known_m * (1 - a) + c * known_v) / determinant ]
      end

      # A base given as a share of the total must agree with what the others leave.
      def check_base!(where)
        return unless base.of == "total"

        real = reading(0, unit_g, of: "total", basis: base.basis)
        refuse_shares(where) if (real - base.parts).abs > SLACK
      end

      def refuse_shares(where)
        raise InvalidInput.new(
          "The shares of the total do not come to 100 %", where: where,
          accepted: "shares of the total that leave room for the base, or parts of the base"
        )
      end
    end
  end
end
