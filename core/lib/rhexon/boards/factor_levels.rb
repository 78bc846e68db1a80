module Rhexon
  module Boards
    # What is varied between cells, applied to the layers of a base.
    # A factor: {"name":"dye strength","step":"s4","field":"strength_percent","levels":[50,100]}.
    module FactorLevels
      # Fields that a level may set, and the kinds of step that have them. "included": false leaves the step out.
      FIELDS = {
        "strength_percent" => %w[stain], "product" => %w[stain fill coat oil wax],
        "method" => %w[stain fill coat oil wax], "coats" => %w[coat oil fill], "wet_um" => %w[coat],
        "thinned_percent" => %w[stain coat oil], "last_grit" => %w[sand],
        "included" => %w[sand scrape raise_grain stain fill coat oil level rub_out polish wax]
      }.freeze

      module_function

      # @param layers [Array<Hash>] steps of a schedule document
      # @param factors [Array<Hash>]
      # @param run [Array<Integer>] level of each factor
      # @return [Array<Hash>] layers of the cell
      # @raise [InvalidInput]
      def apply(layers, factors, run)
        factors.zip(run).reduce(layers) { |made, (factor, level)| set(made, factor, factor["levels"].fetch(level)) }
      end

      # @param names [Hash{String=>String}] product id => name
      # @return [String] "dye strength 50 %", "2 coats", "without"
      def label(factor, value, names = {})
        case factor["field"]
        when "strength_percent", "thinned_percent" then "#{value} %"
        when "wet_um" then "#{value} µm"
        when "coats" then "#{value} #{value == 1 ? "coat" : "coats"}"
        when "included" then value ? "with" : "without"
        when "product" then names.fetch(value, value)
        when "method" then Materials::Methods::DONE.fetch(value, value)
        else value.to_s
        end
      end

      # @raise [InvalidInput] when a factor does not fit the layers
      def check!(layers, factors)
        factors.each do |factor|
          step = step_of(layers, factor)
          kinds = FIELDS[factor["field"]] or
            raise InvalidInput.new(
              "#{factor["field"].inspect} cannot be varied", where: "factors", accepted: FIELDS.keys.join(", ")
            )
          Rhexon.refuse_unless(
            kinds.include?(step["kind"]), "#{factor["field"].tr("_", " ")} is nothing of a #{step["kind"]} step",
            where: "factors", accepted: FIELDS .select { |_, fits| fits.include?(step["kind"]) }.keys.join(", ")
          )
          factor["levels"].each do |value|
            Schedule::Document.check!(Schedule::Document.empty.merge("steps" => set(layers, factor, value)))
          end
        end
      end

      def step_of(layers, factor)
        layers.find { |layer| layer["id"] == factor["step"] } or
          raise InvalidInput.new("#{factor["name"]} varies a step that the base does not have: #{factor["step"]}",
                                 where: "factors", accepted: layers.map { |layer| layer["id"] }.join(", "))
      end
      private_class_method :step_of

      def set(layers, factor, value)
        layers.filter_map do |layer|
          next layer unless layer["id"] == factor["step"]

          case factor["field"]
          when "included" then value ? layer : nil
          when "strength_percent"
            value == 100 ? layer.except("strength_percent") : layer.merge("strength_percent" => value)
          when "thinned_percent"
            if value.to_f.zero?
              layer.except("thinning")
            else
              layer.merge("thinning" => { "percent" => value, "of" => layer.dig("thinning", "of") || "base" })
            end
          when "last_grit"
            layer.merge("grits" => [ *layer["grits"].reject { |grit| finer?(grit, value) }, value ].uniq)
          else layer.merge(factor["field"] => value)
          end
        end
      end
      private_class_method :set

      def finer?(grit, than) = grit.delete_prefix("P").to_i > than.to_s.delete_prefix("P").to_i
      private_class_method :finer?
    end
  end
end
