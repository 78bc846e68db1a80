module Rhexon
  module Work
    module Kinds
      # An old finish off: by paper, scraper, warmth or stripper. Colour stays in the pores.
      class Strip < AbrasiveWork
        def dust?(step) = step["way"] == "sanding"
        def bares?(_step) = true
        def minutes(step, area_m2, _use) = area_m2 * hands.strip_min_per_m2.fetch(step["way"])
        def waits(_step, _lower, _coated_later) = []
        # Neutralised and washed, and left to dry.
        def wet(step) = step["way"] == "stripper" ? Wet.new(hands.dry_after_min.fetch("stripper"), "water") : nil

        def effect(surface, placement)
          step = placement.pass.step
          asked = surface.total_um
          bare = stripped(surface, scratch_um: rubbing(step).last&.mean_um || surface.scratch_um,
                                   residue: step["way"] == "stripper" ? "stripper" : nil)
          Effect.new(bare, asked)
        end

        def words(step, _product_name) = "Strip #{ways.fetch(step["way"])}"

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
