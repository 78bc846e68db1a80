module Rhexon
  module Work
    module Kinds
      # An old finish off: by paper, scraper, warmth or stripper. Colour stays in the pores.
      class Strip < AbrasiveWork
        def dust?(step) = step["way"] == "sanding"
        def bares?(step) = share_off(step) == 1
        def share_off(step) = 1 - (step["leaves_percent"] || 0) / 100.0
        def minutes(step, extent)
          rate = hands.strip_rate.fetch(step["way"])
          extent.at(hard?(extent) ? rate / hands.strip_hard["times"].to_f : rate) + extent.handling_min
        end

        # @return [Boolean] a film that neither heat nor stripper lifts
        def hard?(extent) = hands.strip_hard["classes"].intersect?(extent.found_classes)

        def waits(_step, _lower, _coated_later) = []
        # Neutralised and washed, and left to dry.
        def wet(step) = step["way"] == "stripper" ? Wet.new(hands.dry_after_min.fetch("stripper"), "water") : nil

        def effect(surface, placement)
          step = placement.pass.step
          off = surface.total_um * share_off(step)
          left = { scratch_um: rubbing(step).last&.mean_um || surface.scratch_um,
                   residue: step["way"] == "stripper" ? "stripper" : nil }
          return Effect.new(stripped(surface, **left), off) if bares?(step)

          film = surface.film.abrade(off, texture_um: 0.0)
          Effect.new(surface.with(film: film, sheen_gu: nil, hazy: false, **left), off)
        end

        def words(step, _product_name)
          left = step["leaves_percent"].to_f
          "Strip #{ways.fetch(step["way"])}#{", #{format("%g", left)} % left" if left.positive?}"
        end

        def rubbing(step)
          case step["way"]
          when "stripper" then []
          when "sanding" then step["grits"] ? rungs(step) : [ Prep::Abrasive.near("P120") ]
          else [ Prep::Abrasive.near("P120") ]
          end
        end
      end
    end
  end
end
