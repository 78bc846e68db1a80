module Rhexon
  module Checks
    module Rules
      # prep.grain_not_raised: water on bare wood whose grain was not raised before. Silent where a clear that raises it
      # is sanded after its first coat (the other school), on sheet goods, and where the wood was wetted and sanded.
      module PrepGrainNotRaised
        SHEET = %w[mdf_face mdf_edge].freeze

        module_function

        def call(context)
          context.walks
            .reject { |face, _| SHEET.include?(context.piece.wood(face)) || !context.piece.shown?(face) }
            .filter_map { |_, walk| finding(context, walk) }.first(1)
        end

        def finding(context, walk)
          wet = walk.course.find { |moment| moment.placement.pass.leaves_something? && moment.before.bare? } or return
          pass = wet.placement.pass
          return if pass.product.carrier != "water" || pass.kind == "fill" || wet.before.grain || pass.inserted
          return if wet.placement.status != "planned" || (pass.film? && sanded_after?(walk, wet))

          context.finding(
            "prep.grain_not_raised", "caution", "The grain will stand up",
            "#{context.title(wet.placement)} brings water on bare wood, and what stands up then " \
            "#{pass.film? ? "stays rough under the coats" : "is cut off with the colour"}.",
            placement: wet.placement, remedies: [ raised(context, pass), sanded(context, pass) ]
          )
        end

        def sanded_after?(walk, first)
          later = walk.course.drop(walk.course.index(first) + 1).map { |moment| moment.placement.pass }
          coat = later.index(&:film?) or return later.any?(&:abrasion?) || later.empty?
          later.first(coat).any?(&:abrasion?)
        end

        def raised(context, pass)
          sand = { "kind" => "sand", "grits" => [ last_grit(context, pass) ] }
          context.put_before(pass.step, "Raise it first, and sand it off", [ { "kind" => "raise_grain" }, sand ])
        end

        def last_grit(context, pass)
          context.document["steps"]
            .take_while { |step| step["id"] != pass.step["id"] }
            .select { |step| step["kind"] == "sand" }.last.then { |sanded| sanded ? sanded["grits"].last : "P220" }
        end

        # The other school: the first coat is sanded.
        def sanded(context, pass)
          return unless pass.film? && (pass.step["coats"] || 1) > 1

          rest = Schedule::Edit.free_id(context.document)
          denib = { "id" => "#{rest}a", "kind" => "level", "aim" => "denib", "grits" => [ "P320" ],
                    **pass.step.slice("faces") }
          context.remedy(
            "Sand the first coat",
            { "op" => "all", "operations" => [
              { "op" => "split_coats", "id" => pass.step["id"], "keep" => 1, "new_id" => rest },
              { "op" => "add_step", "after" => pass.step["id"], "step" => denib }
            ] }
          )
        end
      end
    end
  end
end
