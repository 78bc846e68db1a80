module Rhexon
  module Mixing
    # One material of a mix and its share: parts of the base (component 1 = 100 unless it says otherwise) or percent
    # of the total, by volume or by mass. A component that is a mix itself holds its recipe.
    class Component
      ROLES = %w[base hardener thinner other colourant].freeze
      BASES = %w[volume mass].freeze
      WHOLES = %w[base total].freeze

      attr_reader :name, :parts, :basis, :of, :role, :range, :density_g_per_ml, :tolerance_percent, :recipe, :product,
                  :price_per_kg, :left_g, :note

      # @param record [Hash{String=>Object}] a component of rhexon-mix/1
      # @param first [Boolean] the base
      # @raise [InvalidInput]
      def initialize(record, first: false)
        @name = record.fetch("name")
        @parts = record.fetch("parts").to_f
        @basis = record["basis"] || "volume"
        @of = record["of"] || "base"
        @role = record["role"] || (first ? "base" : ROLES.drop(1).find { |role| role == @name } || "other")
        @range = record["range"]
        @recipe = record["components"] && Recipe.new(record["components"], where: "components/#{@name}/components")
        @given_density = record["density_g_per_ml"]
        @class_id = record["class"]
        @density_g_per_ml = (@given_density || @recipe&.density_g_per_ml || stand_in_density).to_f
        @tolerance_percent = (record["tolerance_percent"] || table.tolerance_percent.fetch(@role)).to_f
        @product = record["product"]
        @price_per_kg = record["price_per_kg"]
        @left_g = record["left_g"]
        @note = record["note"]
        check!
        freeze
      end

      # What may be poured of it, as shares of its target: its own range where it has one, else its tolerance.
      # @return [Array(Float, Float)]
      def allowed
        slack = tolerance_percent / 100
        range && range[0] < range[1] ? range.map { |limit| odds(limit) / odds(parts) } : [ 1 - slack, 1 + slack ]
      end

      # How far it may miss either way; of a range half its width, since a share at one end may be moved off it.
      # @return [Float] share of its target
      def slack = allowed.then { |low, high| [ (high - low) / 2, tolerance_percent / 100 ].max }

      # @return [Boolean] its mass rests on a stand-in density
      def estimate? = @given_density.nil? && (@recipe.nil? || @recipe.estimate?)

      # @return [String] "10 parts by volume", "30 % of the total by mass"
      def label = "#{format("%g", parts)} #{of == "base" ? "parts" : "% of the total"} by #{basis}"

      private

      # Amount to what else is poured: a share of the total is no amount by itself.
      def odds(share) = of == "total" ? share / (100.0 - share) : share.to_f

      def stand_in_density
        by_class = @class_id && Reference.classes.classes.dig(@class_id, "density_g_per_ml")
        by_class || table.density_g_per_ml.fetch(role)
      end

      def check!
        Rhexon.refuse_unless(parts.finite? && parts.positive?, "#{name} has no share",
                             where: "components/#{name}/parts", accepted: "more than 0")
        Rhexon.refuse_unless(density_g_per_ml.positive?, "#{name} has no density",
                             where: "components/#{name}/density_g_per_ml", accepted: "more than 0 g/ml")
        Rhexon.refuse_unless(
          range.nil? || (range[0] <= parts && parts <= range[1]),
          "#{name}: #{format("%g", parts)} lies outside its own range", where: "components/#{name}/range",
          accepted: range && "#{format("%g", range[0])} to #{format("%g", range[1])}"
        )
      end

      def table = Reference.mixing
    end
  end
end
