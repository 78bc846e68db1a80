module Rhexon
  module Stock
    # Papers, pads, strainers, tape and rollers wear out with the work.
    module Consumables
      # A rub-out wears what levelling wears, a filling what a stain wears: as shops wrote it down before these were
      # kinds of their own ({Schedule::StepUp}).
      ALSO = { "rub_out" => "level", "fill" => "stain", "glaze" => "coat", "tone" => "coat" }.freeze

      module_function

      # @param plan [Planning::Plan]
      # @param consumables [Array<Hash>] {"id", "wear" => [{"kinds", "methods", "grits", "per_m2", "per_coat"}]}
      # @return [Hash{String=>Float}] id => number worn out by the passes still to come
      def worn(plan, consumables)
        of(plan.placements.reject { |placement| placement.status == "done" }.map(&:pass), consumables)
      end

      # @param passes [Array<Planning::Pass>]
      # @return [Hash{String=>Float}] id => number that these passes wear out
      def of(passes, consumables)
        consumables.to_h do |consumable|
          [ consumable["id"], passes.sum { |pass| consumable["wear"].sum { |wear| by(wear, pass) } } ]
        end
      end

      def by(wear, pass)
        unless fits?(wear["kinds"], [ pass.kind, *ALSO[pass.kind] ]) && fits?(wear["methods"], [ pass.method ]) &&
            fits?(wear["grits"], grits(pass))
          return 0.0
        end

        (wear["per_m2"] || 0) * pass.area_m2 * pass.count + (wear["per_coat"] || 0)
      end

      def fits?(wanted, given) = wanted.nil? || (wanted & given).any?

      # An inserted scuff is done with P320.
      def grits(pass) = pass.kind == "scuff" ? [ "P320" ] : pass.step["grits"] || []
      private_class_method :by, :fits?, :grits
    end
  end
end
