module Rhexon
  module Film
    # What an abrasive takes off a film, µm on the face, by its grain and its purpose (estimates; core/data/film.yml).
    module Abrasion
      # Kinds of work that take film off.
      KINDS = %w[sand level scuff].freeze

      # @!attribute um [Float] off the face
      # @!attribute texture_um [Float] texture that is left
      Taken = Struct.new(:um, :texture_um)

      module_function

      # @param pass [Planning::Pass] an abrasion
      # @param texture_um [Numeric] of the surface under the paper
      # @return [Taken]
      def for(pass, texture_um)
        pass.kind == "scuff" ? off(scuff_um(pass.step["scuff_with"]), texture_um) : of_step(pass.step, texture_um)
      end

      # @param step [Hash] a level or sand step of the schedule document
      # @return [Taken]
      def of_step(step, texture_um)
        return off(step["removes_um"].to_f, texture_um) if step["removes_um"]

        force = step["machine"] ? table.machine_factor : 1
        case purpose(step)
        when "rub_out" then levelled(step.fetch("grits"), texture_um.to_f, force)
        when "between" then off(step.fetch("grits").sum { |grit| by_grain("flatten", grit) } * force, texture_um)
        when "denib" then off(table.removal_um.fetch("denib") * force, texture_um)
        else off(step.fetch("grits").map { |grit| scuff_um(grit) }.max * force, texture_um)
        end
      end

      # Sanding on a film is a scuff for bond; levelling says what it is for.
      # @return [String] denib, scuff, between (flatten) or rub_out
      def purpose(step) = step["kind"] == "level" ? step.fetch("aim") : "scuff"

      # @param grit [String, nil] nil: the usual paper
      def scuff_um(grit = nil) = grit ? by_grain("scuff", grit) : table.removal_um.fetch("scuff").to_f

      # Everyday work by hand, which nobody stops for.
      def light?(pass)
        pass.kind == "scuff" ||
          (!pass.step["machine"] &&
            (purpose(pass.step) == "denib" ||
              (pass.step["removes_um"] || Float::INFINITY) <= table.removal_um.fetch("denib")))
      end

      def edge_factor = table.edge_removal_factor

      # @param arris [String] sharp, eased_2mm or eased_3mm
      def arris_share(arris) = table.arris_share.fetch(arris || "sharp")

      # @param method [String] of a coat
      # @return [Numeric] µm
      def texture_um(method) = table.texture_um.fetch(method)

      # The first grit takes what is left of the texture; each finer one only its scratches. Texture is there once,
      # however hard a machine presses.
      def levelled(grits, texture, force)
        um = grits.sum do |grit|
          first, texture = texture, 0.0
          if first.positive?
            first + table.removal_um.fetch("level") * force
          else
            [ by_grain("finer", grit), table.least_removal_um ].max * force
          end
        end
        Taken.new(um, 0.0)
      end
      private_class_method :levelled

      def off(um, texture) = Taken.new(um, [ texture - um, 0.0 ].max)
      private_class_method :off

      def by_grain(purpose, grit)
        table.dig("removal_um", purpose) * Prep::Abrasive.near(grit).mean_um / table.grain_um.to_f
      end

      private_class_method :by_grain

      def table = Reference.film
      private_class_method :table
    end
  end
end
