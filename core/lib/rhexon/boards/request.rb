module Rhexon
  module Boards
    # Board questions as JSON.
    module Request
      module_function

      # @param json [Hash] "measure" (its name, for the words), "factors" [{"name","levels"}], "runs"
      #   [{"levels":[0,1],"block","value"}]
      # @return [Hash] rhexon-effects/1
      # @raise [InvalidInput]
      def effects(json)
        factors = json["factors"]
        ok = factors.is_a?(Array) && factors.any? &&
          factors.all? do |factor|
            factor.is_a?(Hash) && factor["name"].is_a?(String) && factor["levels"].is_a?(Array) &&
              factor["levels"].size.between?(2, 5)
          end
        Rhexon.refuse_unless(
          ok, "Effects need what was varied", where: "factors",
          accepted: 'factors such as {"name":"sealer","levels":["one coat","two coats"]}, 2 to 5 levels each'
        )
        Rhexon.refuse_unless(json["runs"].is_a?(Array) && json["runs"].all?(Hash), "Effects need their runs",
                             where: "runs", accepted: "a list of cells with their levels and value")
        result = Effects.for(factors, json["runs"])
        {
          "format" => "rhexon-effects/1", "measure" => json["measure"], "mean" => round(result.mean),
          "error_sd" => round(result.error_sd), "degrees_of_freedom" => result.degrees_of_freedom,
          "lost" => result.lost,
          "effects" => result.effects.map { |effect| effect(effect, json["measure"] || "the value") }
        }
      end

      # An effect as a sentence: "Two coats of sealer instead of one: blotch down 1.4 (0.6 to 2.2)".
      # @return [String]
      def label(effect, measure)
        subject = if effect.with
          "#{effect.factor} and #{effect.with} together"
        else
          "#{effect.factor}: #{effect.to} instead of #{effect.from}"
        end
        moved = "#{effect.size.negative? ? "down" : "up"} #{figure(effect.size.abs)}"
        if effect.significance == "no_replicate"
          return "#{subject}: #{measure} #{moved} in these cells; no replicate: cannot tell chance from effect"
        end

        low, high = [ effect.low, effect.high ].then { |ends| effect.size.negative? ? ends.map(&:-@).reverse : ends }
        span = "(#{figure(low)} to #{figure(high)})"
        if effect.significance == "cannot_tell"
          "#{subject}: cannot tell, #{measure} #{moved} #{span}"
        else
          "#{subject}: #{measure} #{moved} #{span}"
        end
      end

      def effect(effect, measure)
        {
          "factor" => effect.factor, "with" => effect.with, "from" => effect.from, "to" => effect.to,
          "size" => round(effect.size), "low" => round(effect.low), "high" => round(effect.high),
          "told" => effect.significance, "words" => label(effect, measure)
        }
      end
      private_class_method :effect

      def figure(value) = value.abs >= 10 ? value.round.to_s : format("%.1f", value.round(1) + 0.0)
      private_class_method :figure

      def round(value) = value&.round(4)
      private_class_method :round
    end
  end
end
