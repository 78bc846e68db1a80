module Rhexon
  module Checks
    module Rules
      # film.edges_sharp: a film that must last, on edges that are too sharp to hold it. Silent where the edges are
      # eased enough or nothing is said of them, for uses whose edges are not worn or wet, and without a film.
      module FilmEdgesSharp
        # What an arris is eased by, in words.
        EASED = { "eased_1mm" => "1 mm", "eased_2mm" => "2 mm", "eased_3mm" => "3 mm" }.freeze

        module_function

        def call(context)
          wanted = Reference.film.least_arris[context.piece.use]
          return [] unless wanted && context.piece.arris

          share, enough = [ context.piece.arris, wanted ].map { |arris| Film::Abrasion.arris_share(arris) }
          last = context.coats.last
          last && share < enough ? [ finding(context, last, wanted, share) ] : []
        end

        # Outdoors water gets under the film where it is broken first.
        def level(piece) = piece.use == "marine" && piece.arris == "sharp" ? "caution" : "note"

        def finding(context, last, wanted, share)
          film = context.walks.filter_map { |face, walk| walk.final.total_um if context.piece.shown?(face) }.max || 0
          context.finding(
            "film.edges_sharp", level(context.piece), "Edges too sharp to hold film",
            "Of #{film.round} µm on the face #{(film * share).round} stay on its edges, and there it goes first: " \
            "ease them to a radius of #{EASED.fetch(wanted)} on #{FilmTooThin.use(context)}.",
            placement: last, figures: { film_um: film.round(1), arris_um: (film * share).round(1) },
            remedies: [ context.go("Say how far they are eased", "piece") ]
          )
        end
      end
    end
  end
end
