module Rhexon
  module Checks
    module Rules
      # film.sand_through: an abrasion may go through to colour at the edges of the piece, by chance. Silent where
      # nothing is coloured, where the edges are safe, and over a filler, which is cut back; a denib or scuff by hand is
      # everyday work and never more than a note.
      module FilmSandThrough
        LEVELS = %w[stop caution note].freeze
        ODDS = { "note" => "a light hand at the edges", "caution" => "it is likely to go through",
                 "stop" => "it will go through" }.freeze

        module_function

        def call(context)
          worst = context.walks.flat_map do |face, walk|
            walk.snapshots.filter_map { |snapshot| finding(context, face, walk, snapshot) }
          end
          worst.group_by(&:pass).map { |_, findings| findings.max_by { |finding| finding.figures[:chance] } }
        end

        def finding(context, face, walk, snapshot)
          work, step = snapshot.placement.pass.work, snapshot.placement.pass.step
          return if !snapshot.removed_um.positive? || work.bares?(step)

          chance = snapshot.before.sand_through(snapshot.asked_um, hidden: hidden?(walk, snapshot)) or return
          level = told(chance[:chance], snapshot.placement.pass) or return
          sentence = "#{context.title(snapshot.placement)} takes about #{um(chance[:taken_um])} off the edges of " \
                     "#{face}, where #{um(chance[:clear_um])} lies over the colour: " \
                     "#{ODDS.fetch(level(chance[:chance]))}."
          context.finding(
            "film.sand_through", level,
            level == "stop" ? "Sands through to the colour" : "May sand through to the colour", sentence,
            placement: snapshot.placement,
            figures: {
              clear_arris_um: chance[:clear_um].round(1), taken_arris_um: chance[:taken_um].round(1),
              chance: chance[:chance].round(3)
            },
            remedies: remedies(context, snapshot, chance)
          )
        end

        # @return [String, nil]
        def told(chance, pass) = level(chance)&.then { |level| pass.work.light?(pass.step) ? "note" : level }

        def level(chance) = LEVELS.find { |name| chance > Reference.film.sand_through[name] }

        # An opaque coat that follows on the face hides it again.
        def hidden?(walk, snapshot)
          later = walk.snapshots
            .drop(walk.snapshots.index(snapshot) + 1)
            .map { |other| other.placement.pass }
            .find(&:film?)
          later&.product&.colour == "pigmented"
        end

        def remedies(context, snapshot, chance)
          placement = snapshot.placement
          return [] if placement.status != "planned" || placement.pass.inserted

          if placement.pass.step["aim"] == "between"
            gentle = context.change(placement,
                                    "Only denib by hand (#{Reference.film.removal_um.fetch("denib")} µm)",
                                    { "aim" => "denib", "removes_um" => nil, "machine" => nil })
          end
          [ gentle, more_clear(context, snapshot, chance), leave_out(context, placement) ]
        end

        # So much more of the coat below that it hardly ever happens.
        def more_clear(context, snapshot, chance)
          layer = snapshot.before.layers.last
          coat = context.coats.find { |other| other.pass.key == layer.pass }
          return unless coat && coat.pass.step["coats"]

          per_coat = [ layer.laid_um * Film::Abrasion.arris_share(context.piece.arris), 0.1 ].max
          more = ((chance[:taken_um] * SAFELY - chance[:clear_um]) / per_coat).ceil
          return unless more.between?(1, 4)

          coats = coat.pass.step["coats"] + more
          if coats <= 30
            context.change(
              coat, "Put #{more == 1 ? "one more coat" : "#{more} more coats"} of #{coat.pass.product.name} on first",
              { "coats" => coats }
            )
          end
        end

        # 1.5 times what comes off is two standard deviations of it.
        SAFELY = Reference.limits.sanded_safely

        def leave_out(context, placement)
          if %w[between scuff denib].include?(placement.pass.step["aim"])
            context.leave_out(placement.pass.step)
          end
        end

        def um(value) = "#{value.round(1).to_s.delete_suffix(".0")} µm"
      end
    end
  end
end
