module Rhexon
  module Mixing
    # rhexon-mix/1 and rhexon-cut/1: what is asked as JSON, answered as JSON.
    module Request
      module_function

      CUT_QUESTIONS = [
        %w[cut make_ml], %w[cut flake_g], %w[stock solution_ml to], %w[stock solution_ml add_spirit_ml],
        %w[stock make_ml to]
      ].freeze

      # @param json [Hash] rhexon-mix/1
      # @return [Hash]
      # @raise [InvalidInput]
      def mix(json)
        Schema.check!("rhexon-mix-1", json)
        sheet = PourSheet.new(Recipe.new(json["components"]), json["want"],
                              resolution_g: json.dig("scale", "resolution_g") || 1)
        if json.key?("poured")
          sheet(sheet).merge("correction" => correction(Correction.new(sheet, json["poured"], json["limits"] || {})))
        else
          sheet(sheet)
        end
      end

      # @param sheet [PourSheet]
      # @return [Hash] the pour sheet of rhexon-mix/1
      def sheet(sheet)
        { "pours" => sheet.pours.map { |pour| pour(pour) }, "total_g" => round(sheet.total_g),
          "total_ml" => round(sheet.total_ml), "too_small" => sheet.too_small?,
          "smallest_total_g" => round(sheet.smallest_total_g),
          "limiting" => sheet.limiting, "estimate" => sheet.recipe.estimate?,
          "shares" => shares(sheet.recipe), "raw_materials" => raw_materials(sheet.recipe) }
      end

      # @param json [Hash] rhexon-cut/1
      # @return [Hash]
      # @raise [InvalidInput]
      def cut(json)
        Schema.check!("rhexon-cut-1", json)
        Rhexon.refuse_unless(CUT_QUESTIONS.any? { |keys| (keys - json.keys).empty? }, "That is no question about a cut",
                             where: "", accepted: CUT_QUESTIONS.map { |keys| keys.join(" with ") }.join(", or "))
        Cuts.check_spirit!(json["spirit"] || {})
        read = ->(key) {
          Cut.read(json[key], spirit_density: json.dig("spirit", "density_g_per_ml"),
                              resin_density: json["resin_density_g_per_ml"], where: key)
        }
        cut_answer(json["cut"] ? cut_made(json, read) : cut_changed(json, read))
      end

      def cut_made(json, read)
        return Cuts.make(read.("cut"), solution_ml: json["make_ml"]) if json["make_ml"]

        Cuts.from_flake(read.("cut"), flake_g: json["flake_g"])
      end
      private_class_method :cut_made

      def cut_changed(json, read)
        if json["make_ml"] then Cuts.from_stock(read.("stock"), make_ml: json["make_ml"], to: read.("to"))
        elsif json["to"] then Cuts.change(read.("stock"), solution_ml: json["solution_ml"], to: read.("to"))
        else Cuts.thinned(read.("stock"), json["solution_ml"], json["add_spirit_ml"])
        end
      end
      private_class_method :cut_changed

      def pour(pour)
        {
          "name" => pour.name, "g" => round(pour.g), "ml" => round(pour.ml), "low_g" => round(pour.low_g),
          "high_g" => round(pour.high_g), "running_g" => round(pour.running_g), "estimate" => pour.component.estimate?
        }
      end

      def shares(recipe)
        recipe.components.zip(recipe.readings).to_h do |component, readings|
          [ component.name, readings.to_h { |(of, basis), value| [ "#{of}_#{basis}", round(value) ] } ]
        end
      end

      def raw_materials(recipe)
        recipe.flattened.map { |name, share| { "name" => name, "mass_percent" => round(share * 100) } }
      end

      def correction(correction)
        { "factor" => correction.factor.round(6), "pours" => correction.pours.map { |pour| moved(pour) },
          "total_g" => round(correction.total_g),
          "comes_to" => correction.comes_to.transform_values { |share| round(share) },
          "accepted" => correction.accepted.transform_values { |share| round(share) },
          "stir_again" => correction.stir_again?, "options" => correction.options.map { |option| option(option) } }
      end

      def option(option)
        { "kind" => option.kind, "sentence" => option.sentence, "total_g" => round(option.total_g),
          "extra_g" => round(option.extra_g), "cost" => option.cost&.round(2), "blocked_by" => option.blocked_by,
          "pours" => option.pours.map { |pour| moved(pour) } }
      end

      def moved(pour) = { "name" => pour.name, "add_g" => round(pour.add_g), "final_g" => round(pour.final_g) }

      def cut_answer(result)
        answer = {
          "stock_ml" => round(result.stock_ml), "add_spirit_ml" => round(result.add_spirit_ml),
          "add_flake_g" => round(result.add_flake_g),
          "result" => { "lb_per_gal" => result.cut.lb_per_gal.round(4), "g_per_l" => result.cut.g_per_l.round(3) },
          "rule_of_thumb_lb_per_gal" => result.rule_of_thumb_lb_per_gal&.round(4),
          "rule_of_thumb_off_percent" => result.off_percent&.round(1), "flake_g" => round(result.flake_g),
          "spirit_ml" => round(result.spirit_ml), "solution_ml" => round(result.solution_ml),
          "solids_volume_percent" => result.cut.solids_volume_percent.round(2)
        }
        answer.compact
      end

      def round(value) = value&.round(3)
      private_class_method :pour, :shares, :raw_materials, :correction, :option, :moved, :cut_answer, :round
    end
  end
end
