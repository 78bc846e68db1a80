module Rhexon
  module Checks
    module Rules
      # bond.window_over: the next coat goes on after recoat closed. Silent while coats meet their windows, on films
      # that never close, and where what goes over holds by scratches alone, whenever it comes.
      module BondWindowOver
        module_function

        def call(context)
          context.coats.filter_map do |coat|
            window = coat.window or next
            next if Materials::Pairs.hard(window.of.product, coat.pass.product)

            next over(context, coat, window) if window.state == "over"

            scuffed(context, coat, window) if inserted_scuff?(context, coat) && !coat.inside
          end
        end

        def inserted_scuff?(context, coat)
          context.plan.build.scuffs_before(coat.pass.key).any? { |placement| placement.status == "planned" }
        end

        def scuffed(context, coat, window)
          sentence = "#{context.title(lower(context, window))} " \
                     "#{window.closes_at < context.shop.now ? "shut" : "shuts"} #{context.clock(window.closes_at)}, " \
                     "before hands #{window.closes_at < context.shop.now ? "were" : "are"} free for the next coat. A " \
                     "scuff#{" by machine" if Planning::Scuff.machine?(context.piece)} is planned so that it bites."
          context.finding(
            "bond.window_over", "note", "Window missed, scuff planned", sentence, placement: coat,
            figures: { closes_at: window.closes_at, starts_at: coat.work_start },
            remedies: [ catch_it(context, coat, window) ]
          )
        end

        def over(context, coat, window)
          late = context.duration(coat.work_start - window.closes_at)
          sentence = "#{context.title(lower(context, window))} shut #{context.clock(window.closes_at)}, #{late} " \
                     "before #{context.name(coat)} goes on. Unscuffed it will not bite."
          remedies = coat.because == "pin" ? [ unpin(context, coat) ] : []
          if context.piece.house["missed_window"] == "stop"
            remedies <<
              context.remedy("Let the plan scuff first", { "op" => "house", "set" => { "missed_window" => "scuff" } })
          end
          context.finding(
            "bond.window_over", "stop", "Window missed", sentence, placement: coat,
            figures: { closes_at: window.closes_at, starts_at: coat.work_start }, remedies: remedies
          )
        end

        # Hold the earlier coat so that the later one still meets its window: by hours, for a day more is dearer than a
        # scuff.
        def catch_it(context, coat, window)
          earlier = lower(context, window)
          return unless earlier.status == "planned"

          start = context.attended(earlier,
                                   Planning::Calendar.ceil(earlier.hands_start + coat.work_start - window.closes_at))
          return unless start && context.shop.zone.date(start) == context.shop.zone.date(earlier.hands_start)

          context.pin("Hold #{context.name(earlier)} until #{context.clock(start)} and catch its window", earlier,
                      start)
        end

        def unpin(context, coat) = context.pin("Scuff first: let the plan place this coat", coat, nil)

        def lower(context, window) = context.plan.build.by_index[window.of.index]
      end
    end
  end
end
