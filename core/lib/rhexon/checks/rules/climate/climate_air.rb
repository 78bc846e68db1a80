module Rhexon
  module Checks
    module Rules
      # climate.air: the air in which a film cures, after it was laid on in air that is fine: an acid-catalysed film in
      # a room that falls under its limit within a day, and a film that cures by the damp of the air where there is
      # none. Silent for all others, and where climate.cold already says it.
      #
      # Source: handbook, drying (application limits held for the first 24 h; moisture cure from 30 % RH).
      module ClimateAir
        module_function

        def call(context)
          context.coats.reject { |coat| coat.status == "done" || coat.pass.inserted }
            .filter_map { |coat| cold_night(context, coat) || too_dry(context, coat) }.uniq(&:step)
        end

        def cold_night(context, coat)
          product = coat.pass.product
          least = Drying::Application.least_c(product)
          return unless least && product.class_id == "acid_catalysed" && context.climate(coat).t_c >= least

          air = coldest(context, coat, coat.pass.dry_room)
          air.t_c < least ? finding(context, coat, least, air) : nil
        end

        def coldest(context, coat, room)
          hours = (0..Reference.limits.held_hours).map { |hour| coat.work_end + hour * 60 }
          hours.map { |minute| context.shop.line(room).at(minute) }.min_by(&:t_c)
        end

        def finding(context, coat, least, air)
          name = coat.pass.product.name
          context.finding(
            "climate.air", "caution", "Too cold while it cures",
            "The #{coat.pass.dry_room} falls to #{number(air.t_c)} °C within a day, and #{name} wants " \
            "#{number(least)} °C or more so long: under that it stays soft for good.",
            placement: coat, figures: { lowest_c: air.t_c, limit_c: least }, remedies: [ warmer(context, coat, least) ]
          )
        end

        def warmer(context, coat, least)
          rooms = context.shop.rooms.keys - [ coat.pass.dry_room ]
          room = rooms.find { |id| coldest(context, coat, id).t_c >= least }
          return (context.ruled_out("Another room to dry in", "none stays warm enough") if rooms.any?) unless room

          context.change(coat, "Let it dry in the #{room}", { "dry_room" => room })
        end

        def too_dry(context, coat)
          air = context.climate(coat, coat.pass.dry_room)
          return if !coat.pass.product.moisture_cure? || air.rh >= Reference.limits.moisture_cure_least_rh

          context.finding(
            "climate.air", "caution", "Too dry to cure",
            "#{coat.pass.product.name} cures by the damp of the air, and the #{coat.pass.dry_room} has " \
            "#{number(air.rh)} % RH: under #{Reference.limits.moisture_cure_least_rh} % it stays soft for days.",
            placement: coat, figures: { rh: air.rh },
            remedies: [ context.elsewhere(coat, "damp enough") { |other|
              other.rh >= Reference.limits.moisture_cure_least_rh
            } ]
          )
        end

        def number(value) = format("%g", value.round(1))
      end
    end
  end
end
