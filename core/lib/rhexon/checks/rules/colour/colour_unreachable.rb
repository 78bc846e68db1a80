module Rhexon
  module Checks
    module Rules
      # colour.unreachable: the wanted colour is lighter than a pale board of the wood under the same clear film and
      # without any colour.
      # Silent without a wanted colour, once the colour is on, and where an opaque or pale-pigmented coat covers the
      # wood.
      module ColourUnreachable
        module_function

        def call(context)
          course = context.course
          last = course.hangs_on
          return [] unless course.target && last && course.laid.none? { |one| one.coat? && !one.clear? }

          lightest = course.look(board: "pale", without: :colour)&.look&.lab or return []
          over = course.target[0] - lightest[0]
          over > Reference.colour.seen ? [ finding(context, last, over, lightest) ] : []
        end

        def finding(context, laid, over, lightest)
          sentence = "The wanted colour (L* #{format("%.1f", context.course.target[0])}) is #{format("%.1f", over)} " \
                     "lighter than a pale board of this wood under this film (L* #{format("%.1f", lightest[0])}). " \
                     "Dyes and films only darken: it takes bleach, a paler wood or a pale glaze."
          context.finding(
            "colour.unreachable", "stop", "Lighter than can be reached", sentence, placement: laid.first,
            figures: { over: over.round(1), lightest: lightest[0].round(1) },
            remedies: [ context.go("See what can be reached", "colour") ]
          )
        end
      end
    end
  end
end
