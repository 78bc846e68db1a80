module Rhexon
  module Film
    # What an abrasive takes off a film, µm on the face, by its grain and its purpose (estimates; core/data/film.yml).
    module Abrasion
      # @!attribute um [Float] off the face
      # @!attribute texture_um [Float] texture that is left
      Taken = Struct.new(:um, :texture_um)

      module_function

      # @param purpose [String] denib, scuff, between (flatten), rub_out, or inserted (a scuff that the plan puts in)
      # @param step [Hash] of the schedule document: "grits", "machine", "removes_um"; "scuff_with" where inserted
      # @param texture_um [Numeric] of the surface under the paper
      # @return [Taken]
      def of(purpose, step, texture_um)
        return off(scuff_um(step["scuff_with"]), texture_um) if purpose == "inserted"
        return off(step["removes_um"].to_f, texture_um) if step["removes_um"]

        force = step["machine"] ? table.machine_factor : 1
        grits = step["grits"] || []
        case purpose
        when "rub_out" then levelled(grits, texture_um.to_f, force)
        when "between" then off(grits.sum { |grit| by_grain("flatten", grit) } * force, texture_um)
        when "denib" then off(table.removal_um.fetch("denib") * force, texture_um)
        else off((grits.map { |grit| scuff_um(grit) }.max || 0) * force, texture_um)
        end
      end

      # A light hand between wiped or padded coats.
      # @param rubbed_with [Array<Prep::Abrasive>]
      # @param um [Numeric] what a built film would lose
      # @return [Numeric] µm
      def of_wiped(rubbed_with, um)
        coarsest = rubbed_with.map(&:mean_um).max or return um
        points = table.wiped_removal_um
        return um if coarsest > points.last[0]

        [ um, points.find { |grain, _| coarsest <= grain }.last ].min
      end

      # @param grit [String, nil] nil: the usual paper
      def scuff_um(grit = nil) = grit ? by_grain("scuff", grit) : table.removal_um.fetch("scuff").to_f

      def edge_factor = table.edge_removal_factor

      # @param arris [String] sharp, or eased_1mm to eased_3mm
      def arris_share(arris) = table.arris_share.fetch(arris || table.usual_arris)

      # @param method [String] of a coat
      # @return [Numeric] µm
      def texture_um(method) = table.texture_um.fetch(method)

      # The first grit takes what is left of the texture; each finer one only its scratches. Texture is there once,
      # however hard a machine presses; wool, pads, powders and compounds round it off and leave it standing.
      def levelled(grits, texture, force)
        um = grits.sum do |grit|
          own = Prep::Abrasive.near(grit).removes_um
          next own * force if own

          first, texture = texture, 0.0
          if first.positive?
            first + table.removal_um.fetch("level") * force
          else
            [ by_grain("finer", grit), table.least_removal_um ].max * force
          end
        end
        Taken.new(um, texture)
      end
      private_class_method :levelled

      def off(um, texture) = Taken.new(um, [ texture - um, 0.0 ].max)
      private_class_method :off

      def by_grain(purpose, grit)
        abrasive = Prep::Abrasive.near(grit)
        abrasive.removes_um || table.dig("removal_um", purpose) * abrasive.mean_um / table.grain_um.to_f
      end

      private_class_method :by_grain

      def table = Reference.film
      private_class_method :table
    end
  end
end
