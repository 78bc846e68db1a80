module Rhexon
  module Checks
    module Rules
      # colour.over_film: a stain or dye goes on over a film that keeps it out of the wood, or over oil or wax. Silent
      # on bare wood, over a washcoat or a thin seal, which it passes with less colour, and where it is done already.
      module ColourOverFilm
        module_function

        def call(context)
          context.walks.flat_map { |face, walk| walk.course.filter_map { |moment| on_face(context, face, moment) } }
            .uniq(&:step)
        end

        def on_face(context, face, moment)
          pass = moment.placement.pass
          return if pass.kind != "stain" || moment.placement.status == "done"

          by = Work::Soaking.kept_out_by(moment.before, pass.product, context.shop.products) or return
          return finding(context, moment, "over #{by}", { residue: by }) if by.is_a?(String)

          um = moment.before.layers.select(&:left?).sum(&:um)
          lower = context.shop.products[by.product_id]
          finding(context, moment, "over #{um.round} µm of #{lower ? lower.name : "the old finish"} on #{face}",
                  { film_um: um.round(1) })
        end

        def finding(context, moment, over, figures)
          context.finding(
            "colour.over_film", "stop", "It cannot get into the wood",
            "#{context.title(moment.placement)} goes #{over}. It lies on it, dries badly and wipes off again.",
            placement: moment.placement, figures: figures,
            remedies: [ before(context, moment), context.go("Make it a toner or a glaze", "colour") ]
          )
        end

        # Into the bare wood, before the first film.
        def before(context, moment)
          steps, own = context.document["steps"], moment.placement.pass.step
          first = steps.index { |step| lays_film?(context, step, own) } or return
          return if first > steps.index(own) || moment.placement.status != "planned"

          context.remedy("Stain before the first coat",
                         { "op" => "move_step", "id" => own["id"],
                           "after" => first.zero? ? nil : steps[first - 1]["id"] })
        end

        def lays_film?(context, step, own)
          shared = step["faces"].nil? || own["faces"].nil? || step["faces"].intersect?(own["faces"])
          shared && step["kind"] != "stain" && Work::Steps.lays?(step) &&
            context.placements.none? { |one| one.pass.step.equal?(step) && one.status != "planned" }
        end
      end
    end
  end
end
