module Rhexon
  module Checks
    module Rules
      # repair.spot: a patch of finish on a film that does not dissolve again, own or found: its edge shows as a ring.
      # Silent on shellac and lacquer, which blend, on bare wood, and where a whole coat of the face follows.
      module RepairSpot
        module_function

        def call(context)
          patches = context.placements.select { |one| one.pass.kind == "mend" && one.pass.step["way"] == "patch" }
          patches.reject { |one| one.status == "done" }.filter_map { |patch| finding(context, patch) }.uniq(&:step)
        end

        def finding(context, patch)
          top = context.walks.filter_map { |face, walk| ringed(walk, patch) if patch.pass.faces.include?(face) }.first
          return unless top

          film = context.shop.products[top.product_id]
          context.finding(
            "repair.spot", "caution", "The patch will show",
            "#{film ? film.name : "The old finish"} does not dissolve again, so a patch on it ends in a ring that " \
            "catches the light. Scuff the whole of it to a natural break and lay one coat over all of it.",
            placement: patch, figures: { film: film&.name },
            remedies: [ (whole(context, patch, film) if film) ].compact
          )
        end

        # @return [Film::Layer, nil] what lies on top then, where the patch would show
        def ringed(walk, patch)
          before, after = walk.course.partition { |moment| moment.placement.work_start < patch.work_start }
          top = (before.last&.after || walk.bare).layers.reverse.find(&:left?)
          top unless top.nil? || top.redissolves || after.any? { |moment| moment.placement.pass.film? }
        end

        # The scuff and the coat of the film that lies there, over all of the faces.
        def whole(context, patch, film)
          coat = context.document["steps"].reverse.find { |step|
            step["product"] == film.id && step["kind"] == "coat"
          } ||
            fresh(context, film) or return
          again = coat.except("id", "pins", "mends", "faces", "one_batch").merge("coats" => 1)
          scuff = { "kind" => "level", "aim" => "scuff", "grits" => [ "P400" ] }
          context.put_after(patch.pass.step, "Scuff all of it, one whole coat", [ scuff, again ])
        end

        def fresh(context, film)
          method = context.shop.usable(film.methods_known & Schedule::Kinds.methods("coat", film)).first or return
          { "kind" => "coat", "product" => film.id, "method" => method, "wet_um" => film.wet_um(method).value,
            "role" => "top" }
        end
      end
    end
  end
end
