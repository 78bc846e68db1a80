module Rhexon
  module Schedule
    # Steps in words, one vocabulary for screen, findings and history.
    module Words
      # What an abrasion is set to: "to flatten".
      SET_TO = { "between" => "flatten", "cut_back" => "cut back" }.freeze
      MILESTONES = {
        "dust_safe" => "dust-safe", "touch" => "dry to touch", "recoat_opens" => "recoat opens",
        "sand" => "dry to sand", "handle" => "ready to handle", "stack" => "ready to stack",
        "rub_out" => "ready to rub out", "full_cure" => "fully cured", "dry" => "dry",
        "wipe_off_earliest" => "ready to wipe off", "flash_min" => "flashed off",
        "soft_earliest" => "ready to level while soft"
      }.freeze

      PATTERNS = {
        "with_grain" => "with the grain", "crossing" => "two crossing passes", "edges_first" => "edges first",
        "cut_in" => "cut in, then the field"
      }.freeze
      RESTS = {
        "pad" => "The pad rests in its closed jar until the next coat.",
        "brush" => "The brush rests in its thinner until the next coat."
      }.freeze

      JUDGED = {
        nil => "judged as usual", "stop" => "judged a stop", "caution" => "judged a caution", "note" => "judged a note",
        "silent" => "not told any more"
      }.freeze

      module_function

      # @param mark [Integer] where a pass goes round with a starting point that moves on by one each coat
      # @return [String, nil] how a coat is laid on
      def pattern(step, mark) = step["pattern"] == "moving_start" ? "start at mark #{mark}" : PATTERNS[step["pattern"]]

      # @param step [Hash] of a schedule document
      # @param product_name [String, nil]
      # @return [String] e.g. "Sand P150, P180", "Seal, dewaxed shellac"
      def step(step, product_name = nil)
        step["name"] || Work::Kind.find(step["kind"]).words(step, product_name)
      end

      # @return [String] "Raise the grain"
      def kind(id) = Work::Kind.find(id).name

      # An edit in words, for the history.
      # @param operation [Hash] of Schedule::Edit
      # @param document [Hash] the document it is applied to
      # @param names [Hash{String=>String}] product id => name
      # @return [String]
      def edit(operation, document, names = {})
        step = document["steps"].find { |candidate| candidate["id"] == operation["id"] }
        name = step && step(step, names[step["product"]])
        case operation["op"]
        when "add_step" then "Added: #{step(operation["step"], names[operation.dig("step", "product")])}"
        when "remove_step" then "Removed: #{name}"
        when "move_step" then "Moved: #{name}"
        when "change_step"
          "#{name}: #{operation["set"].map { |field, value| setting(field, value, names) }.join(", ")}"
        when "split_coats" then "Split: #{name} after coat #{operation["keep"]}"
        when "pin" then "#{operation["start"] ? "Set the time of" : "Let the plan place"} #{name}"
        else whole(operation)
        end
      end

      # What concerns the whole schedule.
      def whole(operation)
        case operation["op"]
        when "place"
          operation["set"].map { |field, value| "#{field.tr("_", " ")} #{value || "as usual"}" }.join(", ").capitalize
        when "house"
          rules = operation["set"].map { |rule, value| "#{rule.tr("_", " ")} #{value.to_s.tr("_", " ")}" }
          "House rule: #{rules.join(", ")}"
        when "judge" then "Check #{operation["check"]}: #{JUDGED.fetch(operation["as"])}"
        else "Several changes"
        end
      end
      private_class_method :whole

      def setting(field, value, names)
        case field
        when "wet_um" then "#{value} µm wet"
        when "coats" then "#{value} #{value == 1 ? "coat" : "coats"}"
        when "product" then names.fetch(value, value)
        when "method" then Materials::Methods::DONE.fetch(value, value)
        when "cut_lb_per_gal" then value ? "thinned to a #{format("%g", value)} lb cut" : "not thinned to a cut"
        when "coats_a_day"
          if value
            "at most #{value} #{value == 1 ? "coat" : "coats"} a day"
          else
            "as many coats a day as dry"
          end
        when "tint" then value ? "coloured with #{tint(value, names)}" : "not coloured"
        when "scuff_with" then "scuffed with #{value || "P320"}"
        when "aim" then "to #{SET_TO.fetch(value, value.to_s)}"
        when "thinning" then value ? "thinned #{value["percent"]} % of #{value["of"]}" : "not thinned"
        else "#{field.tr("_", " ")} #{value.is_a?(Array) ? value.join(", ") : value || "as usual"}"
        end
      end

      # @param parts [Array<Hash>] "tint" of a step
      # @param names [Hash{String=>String}] product id => name
      # @return [String] "walnut concentrate 2 %, honey 0.5 %"
      def tint(parts, names)
        parts.map { |part| "#{names.fetch(part["product"], part["product"])} #{format("%g", part["percent"])} %" }
          .join(", ")
      end
      private_class_method :setting
    end
  end
end
