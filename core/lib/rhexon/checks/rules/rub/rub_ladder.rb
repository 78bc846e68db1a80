module Rhexon
  module Checks
    module Rules
      # rub.ladder: a rub-out that skips too far or goes back, or a compound over scratches that are too deep for it.
      # Silent from half the grain on, and where a compound follows what it polishes.
      module RubLadder
        KINDS = %w[rub_out polish].freeze
        # What levels the film for it counts as its first rungs.
        RUBS = [ "level", *KINDS ].freeze
        private_constant :RUBS

        module_function

        def call(context)
          steps = context.course.laid.select { |one| RUBS.include?(one.step["kind"]) && one.first && !one.begun? }
          steps.slice_when { |one, other| context.course.under(one).last != context.course.under(other).last }
            .select { |run| run.any? { |one| KINDS.include?(one.step["kind"]) } }
            .filter_map { |run| finding(context, run) }
        end

        def finding(context, run)
          rungs = run.flat_map { |one| one.step["grits"].map { |grit| [ Prep::Abrasive.near(grit), one ] } }
          ladder = Prep::Ladder.new(rungs.map(&:first))
          wheel = run.any? { |one| one.step["polish_on"] == "wheel" }
          way, wrong = { back: ladder.back, skip: ladder.skips, scratched: ladder.scratched(wheel: wheel) }
            .find { |_, pairs| pairs.any? }
          return unless wrong

          steps = wrong.first.map { |abrasive| rungs.find { |one, _| one.equal?(abrasive) }.last }
          way == :scratched ? scratched(context, steps.first, *wrong.first,
                                        wheel) : public_send(way, context, steps.last, *wrong.first)
        end

        def scratched(context, at, coarse, compound, wheel)
          most = Prep::Ladder.compound_after_um(wheel: wheel)
          papers = context.shop.abrasives.select { |one| one.paper? && one.scale != "cushion" && one.mean_um <= most }
          finest = papers.max_by(&:mean_um)
          context.finding(
            "rub.ladder", "caution", "Too coarse for a compound",
            "#{said(coarse)} leaves scratches that #{compound.words} does not take out" \
            "#{" by hand" unless wheel}: they stay, under about #{Prep::Sheen.compound_cap(coarse.mean_um).round} GU" \
            "#{". Go on to #{said(finest)} first" if finest}.",
            placement: at.first, figures: { coarse_um: coarse.mean_um, most_um: most },
            remedies: [ (on_to(context, at, coarse, finest) if finest) ].compact
          )
        end

        # As far as a compound takes over.
        def on_to(context, at, coarse, finest)
          return if at.step["kind"] == "polish"

          rungs = Prep::Ladder.build(from_um: coarse.mean_um, to: finest,
                                     shelf: context.shop.rubs(context.piece)) or return
          grits = at.step["grits"].flat_map { |grit| grit == coarse.to_s ? [ grit, *rungs.map(&:to_s) ] : [ grit ] }
          context.change(at.first, "Go on to #{finest.words}", { "grits" => grits }) if grits.size <= 8
        end

        def skip(context, at, coarse, fine)
          context.finding(
            "rub.ladder", "caution", "A rung is missing",
            "From #{said(coarse)} to #{said(fine)} is less than half the grain: the scratches of the coarse one stay.",
            placement: at.first, figures: { coarse_um: coarse.mean_um, fine_um: fine.mean_um },
            remedies: [ between(context, at, coarse, fine) ]
          )
        end

        def between(context, at, coarse, fine)
          shelf = context.shop.rubs(context.piece)
          rungs = Prep::Ladder.build(from_um: coarse.mean_um, to: fine, shelf: shelf) or return
          more = rungs.map(&:to_s) - [ fine.to_s ]
          grits = at.step["grits"].flat_map { |grit| grit == fine.to_s ? [ *more, grit ] : [ grit ] }
          context.change(at.first, "Put #{Rhexon.listed(more)} in between", { "grits" => grits }) if grits.size <= 8
        end

        def back(context, at, fine, coarse)
          sorted = at.step["grits"].sort_by { |grit| -Prep::Abrasive.near(grit).mean_um }
          context.finding(
            "rub.ladder", "caution", "The rub-out goes back",
            "#{said(coarse)} after #{said(fine)} puts scratches in that were out already.",
            placement: at.first, figures: { coarse_um: coarse.mean_um, fine_um: fine.mean_um },
            remedies: sorted == at.step["grits"] ? [] : [ sorted(context, at, sorted) ]
          )
        end

        def sorted(context, at, grits) = context.change(at.first, "Sort it from coarse to fine", { "grits" => grits })

        def said(abrasive) = "#{abrasive.words} (#{format("%g", abrasive.mean_um)} µm)"
      end
    end
  end
end
