module Rhexon
  module Checks
    module Rules
      # film.witness: the last abrasion eats through the top layer into an older one and shows rings. Silent on films
      # that melt into one, where the top coats bonded inside their window, and between coats (the next coat hides it).
      module FilmWitness
        module_function

        def call(context)
          rings = context.walks.values.flat_map do |walk|
            last_coat = walk.snapshots.rindex { |snapshot| snapshot.placement.pass.film? } or next []
            walk.snapshots.drop(last_coat + 1).filter_map { |snapshot| finding(context, snapshot) }
          end
          rings.uniq(&:pass)
        end

        def finding(context, snapshot)
          pass = snapshot.placement.pass
          return if pass.work.bares?(pass.step)

          top = snapshot.before.top_layer
          return if top.nil? || top[:redissolves] || top[:whole_film]

          reach = snapshot.removed_um * Film::Abrasion.edge_factor
          return if reach <= top[:um]

          sentence = "#{context.title(snapshot.placement)} reaches #{reach.round} µm deep in places, but the top " \
                     "layer is #{top[:um].round} µm and did not fuse with the one below: rings will show."
          context.finding(
            "film.witness", "caution", "Rings where layers meet", sentence, placement: snapshot.placement,
            figures: { reach_um: reach.round(1), top_layer_um: top[:um].round(1) },
            remedies: remedies(context, top, reach)
          )
        end

        def remedies(context, top, reach)
          coat = context.coats.reverse.find do |other|
            other.pass.key == top[:passes].last && other.status == "planned"
          end
          return [] unless coat

          [ heavier(context, coat, reach), another(context, coat) ]
        end

        def heavier(context, coat, reach)
          limits = Reference.limits
          wet = (Film::Coat.wet_um(reach * limits.witness_margin, coat.pass.solids_percent) / 5.0).ceil * 5
          return if wet <= coat.pass.wet_um || wet > limits.wrinkle_wet_um

          context.change(coat, "Lay the last coats #{wet} µm wet", { "wet_um" => wet })
        end

        def another(context, coat)
          if coat.pass.step["coats"] < 30
            context.change(coat, "One more coat inside the window", { "coats" => coat.pass.step["coats"] + 1 })
          end
        end
      end
    end
  end
end
