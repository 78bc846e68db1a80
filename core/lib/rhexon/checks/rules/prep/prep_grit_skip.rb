module Rhexon
  module Checks
    module Rules
      # prep.grit_skip: bare wood sanded with a step too far between two papers, so that the scratches of the coarse one
      # outlast the fine one; what an old finish was sanded off with is the first of them. Silent on ladders as they are
      # usual (P80, P120, P180, P220), and from one step on.
      module PrepGritSkip
        module_function

        def call(context)
          course = context.course
          bare = course.laid.take_while { |one| !one.lays? }.select { |one| sands?(one.step) }
          return [] if bare.empty? || bare.all?(&:begun?)

          colour = course.laid.find(&:lays?)&.stain?
          rungs = bare.flat_map { |one| one.step["grits"].map { |grit| [ Prep::Abrasive.near(grit), one ] } }
          skip = Prep::Ladder.new(rungs.map(&:first), stained: colour).skips.first
          skip ? [ finding(context, rungs, skip, colour) ] : []
        end

        def sands?(step) = step["kind"] == "sand" || (step["kind"] == "strip" && !step["grits"].nil?)

        def finding(context, rungs, skip, colour)
          coarse, fine = skip
          at = rungs.find { |abrasive, _| abrasive.equal?(fine) }.last
          context.finding(
            "prep.grit_skip", "caution", "A step too far between papers",
            "From #{coarse} (#{um(coarse)}) to #{fine} (#{um(fine)}): the scratches of #{coarse} outlast " \
            "#{fine}#{" and drink stain" if colour}.",
            placement: at.first, figures: { coarse_um: coarse.mean_um, fine_um: fine.mean_um },
            remedies: [ between(context, at, coarse, fine, colour) ]
          )
        end

        def um(abrasive) = "#{format("%g", abrasive.mean_um)} µm"

        def between(context, at, coarse, fine, colour)
          shelf = context.shop.abrasives.select(&:paper?)
          rungs = Prep::Ladder.build(from_um: coarse.mean_um, to: fine, shelf: shelf, stained: colour)
          return if rungs.nil? || at.begun? || !at.first

          more = rungs.map(&:to_s) - [ fine.to_s ]
          grits = at.step["grits"].flat_map { |grit| grit == fine.to_s ? [ *more, grit ] : [ grit ] }
          context.change(at.first, "Sand #{Rhexon.listed(more)} in between", { "grits" => grits }) if grits.size <= 8
        end
      end
    end
  end
end
