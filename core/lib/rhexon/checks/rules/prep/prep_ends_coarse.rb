module Rhexon
  module Checks
    module Rules
      # prep.ends_coarse: bare wood ends with a paper whose scratches show through a clear film, or drink stain. Silent
      # from P120 on under a film, from P150 on under a stain, from P100 on floors and boats, under opaque coats and
      # oil, and where nothing was sanded.
      module PrepEndsCoarse
        module_function

        def call(context)
          course = context.course
          first = course.laid.find(&:lays?) or return []
          sanded = course.laid.take_while { |one| !one.equal?(first) }.select { |one| one.step["kind"] == "sand" }.last
          return [] if sanded.nil? || sanded.first.nil? || sanded.begun? || !(first.stain? || first.clear?)

          last = Prep::Abrasive.near(sanded.step["grits"].last)
          wanted = Prep::Abrasive.read(coarsest(context.piece.use, first))
          last.mean_um > wanted.mean_um ? [ finding(context, sanded, first, last, wanted) ] : []
        end

        # @return [String] a grit
        def coarsest(use, first)
          ends = Reference.abrasives.ends
          return ends["machine"] if ends["machine_uses"].include?(use)

          first.stain? ? ends["stain"] : ends["film"]
        end

        def finding(context, sanded, first, last, wanted)
          context.finding(
            "prep.ends_coarse", "caution", "Sanded too coarse",
            "The scratches of #{last} (#{format("%g", last.mean_um)} µm) #{first.stain? ? "drink" : "show through"} " \
            "#{first.product.name}: #{wanted} is the coarsest to end with.",
            placement: sanded.first, figures: { last_um: last.mean_um, wanted_um: wanted.mean_um },
            remedies: [ finer(context, sanded, first, last, wanted) ]
          )
        end

        def finer(context, sanded, first, last, wanted)
          shelf = context.shop.abrasives.select(&:paper?)
          rungs = Prep::Ladder.build(from_um: last.mean_um, to: wanted, shelf: shelf, stained: first.stain?) or return
          grits = sanded.step["grits"] + (rungs.map(&:to_s) - [ last.to_s ])
          return if grits.size > 8

          context.change(sanded.first, "Go on to #{wanted}", { "grits" => grits })
        end
      end
    end
  end
end
