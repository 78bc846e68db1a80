module Rhexon
  module Checks
    module Rules
      # film.profile_starved: cut edges of MDF under paint, with fewer than two coats of primer and two of colour. They
      # drink the first coats, and what is left hides and closes nothing. Silent on other woods, under clear film, and
      # where a found coat has sealed them already.
      module FilmProfileStarved
        LEAST = { "primer" => 2, "colour" => 2 }.freeze

        module_function

        def call(context)
          context.walks.filter_map { |face, walk| on_face(context, face, walk) }.first(1)
        end

        def on_face(context, face, walk)
          return unless context.piece.wood(face) == "mdf_edge" && walk.bare.layers.empty?

          laid = walk.course.map(&:placement).select { |one| one.pass.film? }
          coats = laid.partition { |one| !colour?(one.pass) }.map(&:size)
          return if laid.none? { |one| colour?(one.pass) } || coats.zip(LEAST.values).none? { |has, least| has < least }

          finding(context, face, laid.last, coats)
        end

        def colour?(pass) = pass.product.colour == "pigmented" && pass.step["role"] == "top"

        def finding(context, face, last, coats)
          context.finding(
            "film.profile_starved", "caution", "Cut edges will look starved",
            "#{face}: #{coats[0]} under and #{coats[1]} of colour. Cut MDF drinks three quarters of a first coat, so " \
            "its edges stay rough and pale: two coats of primer, sanded, and two of colour.",
            placement: last, figures: { primer: coats[0], colour: coats[1] },
            remedies: [ more(context, face, coats) ]
          )
        end

        def more(context, face, coats)
          laid = context.placements.select { |one| one.pass.film? && one.pass.faces.include?(face) }
          short = [ laid.find { |one| !colour?(one.pass) }, laid.find { |one| colour?(one.pass) } ]
            .zip(coats, LEAST.values).select { |one, has, least| one && has < least && one.status == "planned" }
          return if short.empty? || coats[0].zero?

          operations = short.map do |one, has, least|
            step = one.pass.step
            { "op" => "change_step", "id" => step["id"], "set" => { "coats" => (step["coats"] || 1) + least - has } }
          end
          context.remedy("Two coats under, two of colour", { "op" => "all", "operations" => operations })
        end
      end
    end
  end
end
