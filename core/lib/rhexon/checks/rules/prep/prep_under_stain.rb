module Rhexon
  module Checks
    module Rules
      # prep.orbital_under_stain, prep.too_fine_for_stain, prep.endgrain: how bare wood was sanded shows in the colour.
      # Silent where the last paper was by hand or is too coarse in any case (prep.ends_coarse), where blotches are the
      # worse danger, without a colour on bare wood, and of machines on floors, which are sanded by nothing else.
      module PrepUnderStain
        # Pigment holds in scratches: finer than this it hardly colours, µm.
        TOO_FINE_UM = Reference.abrasives.scales.fetch("P").fetch(240)
        LAST_UM = Reference.abrasives.scales.fetch("P").fetch(220)

        module_function

        def call(context)
          stain = context.course.laid.find(&:lays?)
          return [] unless stain&.stain? && stain.first && !stain.begun?

          sanded = context.course.laid
            .take_while { |one| !one.equal?(stain) }
            .select { |one| one.step["kind"] == "sand" && one.first }.last
          [ (orbital(context, sanded, stain) if sanded), (too_fine(context, sanded, stain) if sanded),
            end_grain(context, stain) ].compact
        end

        def orbital(context, sanded, stain)
          return if !sanded.step["machine"] || sanded.begun? || context.piece.use == "floor"
          return if PrepEndsCoarse.call(context).any?

          last = sanded.step["grits"].last
          context.finding(
            "prep.orbital_under_stain", "caution", "Swirls under the colour",
            "A machine leaves swirls that #{stain.product.name} shows: the last paper goes by hand, with the grain.",
            placement: sanded.first,
            remedies: [
              context.put_after(sanded.step, "Sand #{last} by hand", { "kind" => "sand", "grits" => [ last ] })
            ]
          )
        end

        def too_fine(context, sanded, stain)
          grit = Prep::Abrasive.near(sanded.step["grits"].last)
          return if stain.product.carrier == "water" || grit.mean_um >= TOO_FINE_UM || context.course.wood&.spots

          context.finding(
            "prep.too_fine_for_stain", "caution", "Sanded too fine for a pigment",
            "#{stain.product.name} holds in scratches, and #{grit} leaves hardly any: it will come out pale.",
            placement: stain.first, figures: { grit_um: grit.mean_um },
            remedies: [ (context.change(sanded.first, "Stop at P220", coarser(sanded)) unless sanded.begun?) ]
          )
        end

        def coarser(sanded)
          kept = sanded.step["grits"].select { |grit| Prep::Abrasive.near(grit).mean_um > LAST_UM }
          { "grits" => [ *kept, "P220" ] }
        end

        # End grain drinks more: one or two papers finer than the face, or it goes darker.
        def end_grain(context, stain)
          ends, others = context.piece.faces.keys.partition { |face| context.piece.wood(face) == "end_grain" }
          dyed = ends & (stain.step["faces"] || ends)
          fine, face = [ ends, others ].map { |faces| last_um(context, stain, faces) }
          return if dyed.empty? || fine.nil? || face.nil? || fine < face

          context.finding(
            "prep.endgrain", "caution", "End grain goes darker",
            "#{Rhexon.listed(dyed)} is end grain and sanded no finer than the face: it drinks more and goes darker.",
            placement: stain.first,
            remedies: [
              context.put_before(stain.step.merge("faces" => dyed), "Sand the end grain to P320",
                                 { "kind" => "sand", "grits" => [ "P320" ] })
            ]
          )
        end

        def last_um(context, stain, faces)
          sanded = context.document["steps"].take_while { |step| !step.equal?(stain.step) }.select do |step|
            step["kind"] == "sand" && (step["faces"] || faces).intersect?(faces)
          end
          sanded.last && Prep::Abrasive.near(sanded.last["grits"].last).mean_um
        end
      end
    end
  end
end
