module Rhexon
  module Checks
    module Rules
      # film.sand_through: an abrasion comes nearer to colour than the reserve, reckoned at the edge. Silent where nothing is coloured
      # and where enough clear film lies above the colour.
      module FilmSandThrough
        module_function

        def call(context)
          worst = context.walks.flat_map { |face, walk| walk.snapshots.filter_map { |snapshot| finding(context, face, snapshot) } }
          worst.group_by(&:pass).map { |_, findings| findings.min_by { |finding| finding.figures[:left_um] } }
        end

        def finding(context, face, snapshot)
          clear = snapshot.before.clear_over_colour
          return unless clear && snapshot.removed_um.positive?

          taken = asked_um(snapshot)
          left = clear[:arris_um] - taken * Film::Abrasion.edge_factor
          reserve = Reference.table("film").fetch("reserve_um")
          return if left >= reserve

          sentence = "#{context.title(snapshot.placement)} takes #{um(taken * Film::Abrasion.edge_factor)} off the edges of #{face}, where #{um(clear[:arris_um])} of clear lies over the colour: " \
                     "#{left.positive? ? "only #{um(left)} would be left (#{reserve} µm reserve)" : "it goes through to the colour"}."
          context.finding("film.sand_through", "stop", "Sands through to the colour", sentence, placement: snapshot.placement,
                          figures: { clear_arris_um: clear[:arris_um].round(1), taken_um: taken, left_um: left.round(1), reserve_um: reserve }, remedies: remedies(context, snapshot, left, reserve))
        end

        # What the paper asks for, also where less is there to take.
        def asked_um(snapshot)
          pass = snapshot.placement.pass
          return Film::Abrasion.scuff_um if pass.kind == "scuff"

          [ snapshot.removed_um, pass.step["removes_um"].to_f ].max
        end

        def remedies(context, snapshot, left, reserve)
          placement = snapshot.placement
          return [] if placement.status != "planned" || placement.pass.inserted

          denib = Reference.table("film").dig("removal_um", "denib")
          gentle = context.change(placement, "Only denib by hand (#{denib} µm)", { "removes_um" => denib }) if placement.pass.step["aim"] == "between" && snapshot.before.clear_over_colour[:arris_um] - denib * Film::Abrasion.edge_factor >= reserve
          [ gentle, more_clear(context, snapshot, reserve - left), leave_out(context, placement) ]
        end

        def more_clear(context, snapshot, lacking)
          layer = snapshot.before.layers.last
          coat = context.coats.find { |other| other.pass.key == layer.pass }
          return unless coat && coat.pass.step["coats"]

          per_coat = [ layer.laid_um * Film::Abrasion.arris_share(context.piece.arris), 0.1 ].max
          more = (lacking / per_coat).ceil
          return if more > 4

          coats = coat.pass.step["coats"] + more
          context.change(coat, "Put #{more == 1 ? "one more coat" : "#{more} more coats"} of #{coat.pass.product.name} on first", { "coats" => coats }) if coats <= 30
        end

        def leave_out(context, placement)
          context.remedy("Leave this step out", { "op" => "remove_step", "id" => placement.pass.step["id"] }) if placement.pass.step["aim"] == "between"
        end

        def um(value) = "#{value.round(1).to_s.delete_suffix(".0")} µm"
      end
    end
  end
end
