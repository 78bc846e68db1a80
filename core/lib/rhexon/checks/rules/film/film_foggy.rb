module Rhexon
  module Checks
    module Rules
      # film.foggy: more than two layers of a flatted film former under the last coat cloud the look. Silent for gloss
      # builds with one flatted last coat, for up to three flatted coats in all, for semi-gloss, oil, wax and shellac,
      # for thin films, and where the shop builds in satin throughout.
      module FilmFoggy
        module_function

        def call(context)
          return [] if context.piece.house["build"] == "satin"

          context.walks.filter_map { |_, walk| on_face(context, walk) }.first(1)
        end

        def on_face(context, walk)
          limits = Reference.limits
          layers = walk.final.layers
          flatted = layers[0...-1].select { |layer| flatted?(layer, limits) }
          return if flatted.size <= limits.flatted_layers || flatted.sum(&:um) <= limits.flatted_um

          dark = dark?(context, limits)
          last = context.coats.find { |coat| coat.pass.key == layers.last.pass }
          sentence = "#{flatted.size} flatted layers lie under the last coat#{" over dark wood" if dark}: the look " \
                     "turns cloudy. Build in gloss and flatten the last coat only."
          context.finding(
            "film.foggy", dark ? "caution" : "note", "Foggy build", sentence, placement: last,
            figures: { flatted_layers: flatted.size, most: limits.flatted_layers },
            remedies: [ gloss_build(context, last, flatted) ]
          )
        end

        def flatted?(layer, limits)
          layer.sheen_gu && layer.sheen_gu < limits.flatted_below_gu && !layer.coloured &&
            layer.way != "oil" && layer.family != "shellac"
        end

        # By what is seen; by the wood alone where a colour has no figures.
        def dark?(context, limits)
          seen = context.course.look&.look&.lab ||
            (wood = context.course.wood) && Colour::Spectrum.lab(wood.reflectance, Colour::Light.find("D65"))
          !seen.nil? && seen[0] < limits.dark_below_l
        end

        # The coats under the last become the gloss of the same kind.
        def gloss_build(context, last, flatted)
          step = last.pass.step
          gloss = context.shelf.find do |product|
            product.class_id == last.pass.product.class_id && !product.coloured? &&
              product.sheen_gu.value >= Reference.limits.flatted_below_gu
          end
          return unless gloss && step["coats"] > 1 && flatted.any? { |layer| layer.pass.split("/")[1] == step["id"] }

          new_id = Schedule::Edit.free_id(context.document)
          context.remedy("Build in #{gloss.name}, flatten the last coat only",
                         { "op" => "all",
                           "operations" => [ {
                             "op" => "split_coats", "id" => step["id"], "keep" => step["coats"] - 1, "new_id" => new_id
                           },
                                             {
                                               "op" => "change_step", "id" => step["id"],
                                               "set" => { **Schedule::Swap.set(step, gloss), "role" => "build" }
                                             } ] })
        end
      end
    end
  end
end
