module Rhexon
  module Checks
    module Rules
      # rub.lubricant, rub.wool_waterborne: what a film may not be rubbed with. Silent for what is usual: shellac with
      # mineral spirit or oil, lacquer and varnish with spirit or soapy water, waterborne with water.
      module RubFilmTouch
        PADS = { "wool-000" => "pad-medium", "wool-0000" => "pad-fine" }.freeze

        module_function

        def call(context)
          context.walks.values
            .flat_map { |walk| walk.course.flat_map { |moment| on_moment(context, moment) } }
            .uniq { |finding| [ finding.id, finding.pass ] }
        end

        def on_moment(context, moment)
          pass = moment.placement.pass
          return [] if !pass.abrasion? || pass.inserted || moment.placement.status == "done"

          film = moment.before.layers.reverse.find(&:left?) or return []
          [ lubricant(context, moment, film), wool(context, moment, film) ].compact
        end

        def lubricant(context, moment, film)
          with = moment.placement.pass.step["lubricant"]
          if film.family == "shellac" && %w[water soapy_water].include?(with)
            said(context, moment, "Water on shellac",
                 "Water turns shellac white where it stays: rub it with mineral spirit or oil.",
                 "mineral_spirit", "Rub with mineral spirit")
          elsif film.mechanism == "coalescing" && %w[mineral_spirit oil].include?(with)
            said(context, moment, "Solvent on a waterborne film",
                 "Mineral spirit and oil soften a waterborne film: rub it with water and a drop of soap.",
                 "soapy_water", "Rub with soapy water")
          end
        end

        def said(context, moment, title, sentence, with, label)
          context.finding("rub.lubricant", "caution", title, sentence, placement: moment.placement,
                          remedies: [ context.change(moment.placement, label, { "lubricant" => with }) ])
        end

        # Iron in a waterborne film rusts.
        def wool(context, moment, film)
          grits = moment.placement.pass.step["grits"] || []
          return unless context.shop.products[film.product_id]&.carrier == "water" && grits.intersect?(PADS.keys)

          context.finding(
            "rub.wool_waterborne", "caution", "Steel wool on a waterborne film",
            "Shreds of steel wool stay in a waterborne film and rust: a synthetic pad does the same.",
            placement: moment.placement,
            remedies: [
              context.change(moment.placement, "Take a synthetic pad",
                             { "grits" => grits.map { |grit| PADS.fetch(grit, grit) }.uniq })
            ]
          )
        end
      end
    end
  end
end
