module Rhexon
  module Templates
    # What of a step may be varied, and steps in which it is.
    module Varied
      # Label, what it may be, how minus and plus move it, and its unit.
      FIELDS = {
        "coats" => [ "coats", 1..30, 1, nil ], "strength_percent" => [ "strength", 10..200, 10, "%" ],
        "thinned_percent" => [ "thinned", 0..50, 5, "%" ], "cut_lb_per_gal" => [ "cut", 0.5..4, 0.5, "lb" ],
        "sheen_gu" => [ "sheen", 3..95, 5, "GU" ],
        "last_grit" => [ "last grit", %w[P120 P150 P180 P220 P240 P320].freeze, nil, nil ]
      }.freeze
      COATED = %w[coat oil fill].freeze
      private_constant :COATED

      module_function

      # @param step [Hash] of a schedule document
      # @param product [Hash, nil] of the template
      # @return [Array<Parameter>]
      def parameters(step, product)
        words = Schedule::Words.step(step, product && product["name"])
        values(step, product).compact.filter_map do |field, value|
          label, accepts, by, unit = FIELDS.fetch(field)
          next unless accepts.include?(value)

          Parameter.new(step: step["id"], field: field, name: label, label: "#{words}: #{label}", value: value,
                        accepts: accepts, step_by: by, unit: unit)
        end
      end

      # @param steps [Array<Hash>]
      # @param set [Hash{String=>Object}] key => value; a sheen is met by the product
      # @return [Array<Hash>] steps
      def steps(steps, set)
        set.reduce(steps) do |made, (key, value)|
          id, field = key.split("/")
          next made if field == "sheen_gu"
          next cut(made, id, value) if field == "cut_lb_per_gal"

          Boards::FactorLevels.apply(made, [ { "step" => id, "field" => field, "levels" => [ value ] } ], [ 0 ])
        end
      end

      def values(step, product)
        { "coats" => (step["coats"] if COATED.include?(step["kind"])),
          "strength_percent" => (step["strength_percent"] || 100 if step["kind"] == "stain" && step["tint"].nil?),
          "thinned_percent" => step.dig("thinning", "percent"), "cut_lb_per_gal" => step["cut_lb_per_gal"],
          "sheen_gu" => (product["sheen_gu"]&.round if product && top?(step)),
          "last_grit" => (step["grits"]&.last if step["kind"] == "sand") }
      end

      def top?(step) = step["kind"] == "coat" && [ nil, "top" ].include?(step["role"])
      def cut(steps, id, value) = steps.map { |step| step["id"] == id ? step.merge("cut_lb_per_gal" => value) : step }
      private_class_method :values, :top?, :cut
    end
  end
end
