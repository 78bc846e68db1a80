module Rhexon
  module Schedule
    # Documents of rhexon-schedule/1 as they are said today: a rub-out and a filling are kinds of work of their own.
    module StepUp
      OLD = "rhexon-schedule/1".freeze

      module_function

      # @param document [Hash] of either version
      # @param fillers [Array<String>] products that fill pores
      # @return [Hash] rhexon-schedule/2; the same object where it is that already
      def document(document, fillers)
        return document unless document["format"] == OLD

        document.merge("format" => Document::FORMAT, "steps" => steps(document["steps"], fillers))
      end

      # @param steps [Array<Hash>] of a document, or the layers of a board's cell
      # @return [Array<Hash>]
      def steps(steps, fillers)
        steps.map do |step|
          if step["kind"] == "level" && step["aim"] == "rub_out" then step.except("aim").merge("kind" => "rub_out")
          elsif step["kind"] == "stain" && fillers.include?(step["product"]) then fill(step)
          else
            step
          end
        end
      end

      # What a stain had and a filling has not goes: strength and gun mean nothing to it.
      def fill(step)
        kept = Kinds.fields("fill")
        kept -= [ "method" ] unless Kinds.usual_methods("fill").include?(step["method"])
        { "method" => "wipe" }.merge(step.slice(*kept)).merge("kind" => "fill")
      end
      private_class_method :fill
    end
  end
end
