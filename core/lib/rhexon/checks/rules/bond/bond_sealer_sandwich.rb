module Rhexon
  module Checks
    module Rules
      # bond.sealer_sandwich: a soft vinyl sealer between hard coats of one kind; between lacquers a note, as they melt
      # into it. Silent where it is the first on the wood or locks in a colour, between unlike coats that it ties
      # together, and for shellac.
      module BondSealerSandwich
        CRACKS = "the film shifts on it and cracks or chips at a knock".freeze
        MARKS = "it is softer than they are, and the film marks and chips on it sooner".freeze

        module_function

        def call(context)
          context.course.laid.select { |one| one.first && !one.begun? && between?(context, one) }
            .map { |one| finding(context, one) }
        end

        def between?(context, one)
          return false unless one.coat? && sealer?(one)

          others = context.course.laid.select { |other| other.equal?(one) || (other.lays? && !sealer?(other)) }
          below, above = [ -1, 1 ].map { |by| (at = others.index(one) + by).negative? ? nil : others[at] }
          hard?(below) && hard?(above) && below.product.class_id == above.product.class_id
        end

        def sealer?(one) = one.product&.class_id == "vinyl_sealer"
        def hard?(one) = one&.coat? && !one.tinted? && (one.product.mechanism == "reactive" || lacquer?(one))
        def lacquer?(one) = one.product.class_id == "nitro_lacquer"

        def finding(context, one)
          lacquers = context.course.laid.any? { |other| other.coat? && lacquer?(other) }
          why = lacquers ? MARKS : CRACKS
          context.finding(
            "bond.sealer_sandwich", lacquers ? "note" : "caution", "A soft layer between hard coats",
            "#{context.title(one.first)} lies between #{lacquers ? "coats of lacquer" : "hard coats of one kind"}: " \
            "#{why}. It belongs under them all, next to the wood.",
            placement: one.first,
            remedies: [
              context.remedy("Leave #{one.product.name} out", { "op" => "remove_step", "id" => one.step["id"] })
            ]
          )
        end
      end
    end
  end
end
