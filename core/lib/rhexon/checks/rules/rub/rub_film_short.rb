module Rhexon
  module Checks
    module Rules
      # rub.film_short: a rub-out may go through all the film there is, to the wood. Silent where there is colour to go
      # through to (film.sand_through says it), and where the film is thick enough.
      module RubFilmShort
        module_function

        def call(context)
          context.walks
            .select { |face, _| context.piece.shown?(face) }.values
            .flat_map { |walk| walk.course.filter_map { |moment| finding(context, walk, moment) } }
            .uniq(&:pass)
        end

        def finding(context, walk, moment)
          return unless RubLadder::KINDS.include?(moment.placement.pass.kind) && moment.placement.status != "done"
          return if moment.before.bare? || moment.before.clear_over_colour

          taken = moment.asked_um * Film::Abrasion.edge_factor
          chance = moment.before.chance_through(taken)
          level = %w[stop caution].find { |name| chance > Reference.film.sand_through[name] } or return
          there = moment.before.layers.sum(&:arris_um)
          context.finding(
            "rub.film_short", level, "Not enough film to rub out",
            "#{context.title(moment.placement)} takes about #{taken.round} µm off the edges, where #{there.round} µm " \
            "lies#{thumb(walk)}. Lay more first.",
            placement: moment.placement,
            figures: { film_arris_um: there.round(1), taken_arris_um: taken.round(1), chance: chance.round(3) },
            remedies: [ more(context, moment, taken - there), context.leave_out(moment.placement.pass.step) ]
          )
        end

        def thumb(walk)
          walk.bare.layers.any? && walk.bare.found["um"].nil? ? " (by rule of thumb: measure it)" : ""
        end

        # So many more that it hardly ever happens: half as much again as what comes off.
        def more(context, moment, short)
          layer = moment.before.layers.last
          coat = context.coats.find { |one| one.pass.key == layer&.pass && one.status == "planned" } or return
          each = [ layer.laid_um * Film::Abrasion.arris_share(context.piece.arris), 0.1 ].max
          taken = short + moment.before.layers.sum(&:arris_um)
          further = ((short + taken * (Reference.limits.sanded_safely - 1)) / each).ceil
          return if further > Reference.limits.most_more_coats

          coats = coat.pass.step["coats"] + further
          context.change(coat, "Lay #{coats} coats of #{coat.pass.product.name}", { "coats" => coats })
        end
      end
    end
  end
end
