module Rhexon
  module Checks
    module Rules
      # film.balance: the back of a wide panel of solid wood carries less than half the film of its face, so that it
      # takes up and gives off moisture on one side and cups. Silent for sheet goods, for panels that are narrow or have
      # no back of their own, for oil and wax, which hold no moisture back, for floors, and where the shop does show
      # sides only.
      module FilmBalance
        module_function

        def call(context)
          piece = context.piece
          return [] if piece.house["sides"] == "show" || piece.use == "floor"

          face, back = widest(piece, true), widest(piece, false)
          return [] unless face && back

          shown, hidden = [ face, back ].map { |id| context.plan.film(piece.id, id).final.total_um }
          last = context.coats.reverse.find { |coat| coat.pass.faces.include?(face) }
          return [] if last.nil? || hidden >= shown * Reference.limits.balance_share

          [ finding(context, last, face, back, shown, hidden) ]
        end

        # @return [String, nil] the largest face of solid wood that is as wide as it cups
        def widest(piece, shown)
          kinds = shown ? [ nil, "face" ] : [ "back" ]
          id, face = piece.faces.select { |_, one| kinds.include?(one["kind"]) }
            .max_by { |_, one| one["area_m2"] }
          id if id && !piece.wood(id).start_with?("mdf") && face["area_m2"] >= Reference.limits.balance_m2
        end

        def finding(context, last, face, back, shown, hidden)
          context.finding(
            "film.balance", hidden.zero? ? "caution" : "note", "One side takes up more damp",
            "#{shown.round} µm on #{face}, #{hidden.round} µm on #{back}: damp goes in and out through the #{back}, " \
            "and a free panel of solid wood wider than 300 mm cups. Half the film keeps it flat.",
            placement: last, figures: { face_um: shown.round(1), back_um: hidden.round(1) },
            remedies: [ both(context, face, back) ]
          )
        end

        # What is laid on the face only goes on the back too, where nothing is laid on yet.
        def both(context, face, back)
          open = context.course.laid.select { |one| one.coat? && one.first && !one.begun? }.map(&:step)
          steps = open.select { |step| step["faces"]&.include?(face) && !step["faces"].include?(back) }
          return if steps.empty?

          operations = steps.map do |step|
            { "op" => "change_step", "id" => step["id"], "set" => { "faces" => [ back, *step["faces"] ] } }
          end
          context.remedy("Coat the #{back} too", { "op" => "all", "operations" => operations })
        end
      end
    end
  end
end
