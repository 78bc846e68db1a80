module Rhexon
  module Checks
    module Rules
      # rub.ladder: a rub-out that skips too far or goes back. Silent from half the grain on, and where a compound
      # follows.
      module RubLadder
        KINDS = %w[rub_out polish].freeze

        module_function

        def call(context)
          steps = context.course.laid.select { |one| KINDS.include?(one.step["kind"]) && one.first && !one.begun? }
          steps.slice_when { |one, other| context.course.under(one).last != context.course.under(other).last }
            .filter_map { |run| finding(context, run) }
        end

        def finding(context, run)
          rungs = run.flat_map { |one| one.step["grits"].map { |grit| [ Prep::Abrasive.near(grit), one ] } }
          ladder = Prep::Ladder.new(rungs.map(&:first))
          wrong = ladder.back.first || ladder.skips.first or return
          at = rungs.find { |abrasive, _| abrasive.equal?(wrong.last) }.last
          ladder.back.any? ? back(context, at, *wrong) : skip(context, at, *wrong)
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
          context.change(at.first, "Put #{more.join(" and ")} in between", { "grits" => grits }) if grits.size <= 8
        end

        def back(context, at, fine, coarse)
          sorted = at.step["grits"].sort_by { |grit| -Prep::Abrasive.near(grit).mean_um }
          context.finding(
            "rub.ladder", "caution", "The rub-out goes back",
            "#{said(coarse)} after #{said(fine)} puts scratches in that were out already.",
            placement: at.first, figures: { coarse_um: coarse.mean_um, fine_um: fine.mean_um },
            remedies: [ context.change(at.first, "Sort it from coarse to fine", { "grits" => sorted }) ]
          )
        end

        def said(abrasive) = "#{abrasive.words} (#{format("%g", abrasive.mean_um)} µm)"
      end
    end
  end
end
