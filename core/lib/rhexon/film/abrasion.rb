module Rhexon
  module Film
    # What an abrasive takes off a film, µm on the face (estimates; core/data/film.yml).
    module Abrasion
      module_function

      # @param step [Hash] a level step of the schedule document
      # @param last_method [String, nil] how the coat under the paper was laid (its texture)
      # @return [Float] µm taken off the face by the whole step
      def removal_um(step, last_method)
        return step["removes_um"].to_f if step["removes_um"]

        grits = step.fetch("grits")
        first = step["aim"] == "rub_out" ? texture(last_method) + table.fetch("level_extra_um") : table.dig("removal_um", "flatten")
        finer = grits.drop(1).sum { |grit| table.dig("removal_um", grit) || finer_than_listed(grit) }
        (first + finer) * (step["machine"] ? table.fetch("machine_factor") : 1)
      end

      def scuff_um = table.dig("removal_um", "scuff").to_f

      def edge_factor = table.fetch("edge_removal_factor")

      # @param arris [String] sharp, eased_2mm or eased_3mm
      def arris_share(arris) = table.fetch("arris_share").fetch(arris || "sharp")

      def texture(method) = table.fetch("texture_um").fetch(method || "spray")
      private_class_method :texture

      def finer_than_listed(grit)
        number = grit.delete_prefix("P").to_i
        if number < 800 then table.dig("removal_um", "scuff")
        else number <= 1200 ? table.dig("removal_um", "P800") : table.dig("removal_um", "P1500")
        end
      end
      private_class_method :finer_than_listed

      def table = Reference.table("film")
      private_class_method :table
    end
  end
end
