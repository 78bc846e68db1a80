module Rhexon
  module Checks
    module Rules
      # colour.metamer: the look matches by day and not in the light of its place. Silent without a wanted colour or a
      # lamp, once the colour is on, and where it does not match by day either.
      module ColourMetamer
        module_function

        def call(context)
          course = context.course
          light = context.piece.wanted["light"]
          last = course.hangs_on
          return [] unless course.target && light && !%w[D65 D50].include?(light) && last && (seen = course.look)

          match = Colour::Metamerism.for(
            seen.reflectance,
            Colour::Reflectance.from_lab(course.target, Colour::Light.find("D65"), shape: course.wood.reflectance),
            lamp: light
          )
          match.caution ? [ finding(context, last, light, match) ] : []
        rescue InvalidInput
          []
        end

        def finding(context, laid, light, match)
          context.finding(
            "colour.metamer", "caution", "Right by day, not by lamp",
            "#{match.caution} It is seen in that light: judge the board there, and choose colours that hold.",
            placement: laid.first,
            figures: { day: match.differences["D65"].round(1), place: match.differences[light].round(1) },
            remedies: [ context.go("Try other colourants", "colour") ]
          )
        end
      end
    end
  end
end
