module Rhexon
  module Checks
    module Rules
      # bond.over_silicone: an old finish from elsewhere is sanded and coated, and nothing has washed it. Polishes leave
      # silicone and wax; sanding drives them in, and the next coat crawls into craters. Silent on bare and stripped
      # wood, over the shop's own coats, and where it is washed, degreased, wiped with solvent or stripped first.
      module BondOverSilicone
        module_function

        def call(context)
          context.walks.filter_map { |face, walk| on_face(context, face, walk) }.uniq(&:step).first(1)
        end

        def on_face(context, face, walk)
          found = walk.bare.found
          return unless %w[coated unknown].include?(found["is"]) && found["product"].nil?

          coat = context.coats.find { |one| one.pass.faces.include?(face) && !one.pass.inserted }
          return if coat.nil? || coat.status == "done" || cleaned?(context, face, coat)

          finding(context, coat)
        end

        def cleaned?(context, face, coat)
          context.placements.any? do |one|
            one.work_start < coat.work_start && one.pass.faces.include?(face) &&
              (one.pass.kind == "strip" || (one.pass.kind == "clean" && WASHES.include?(one.pass.step["way"])))
          end
        end

        WASHES = %w[wash degrease solvent_wipe oxalic_rinse].freeze

        def finding(context, coat)
          context.finding(
            "bond.over_silicone", "caution", "Old polish may lie on it",
            "#{context.title(coat)} goes over an old finish that nothing has washed. Polish leaves silicone and wax: " \
            "sanding drives them in, and the coat crawls into craters.",
            placement: coat, remedies: coat.status == "planned" ? [ washed(context) ] : []
          )
        end

        def washed(context)
          context.put_after(nil, "Wash it first", { "kind" => "clean", "way" => "wash" })
        end
      end
    end
  end
end
