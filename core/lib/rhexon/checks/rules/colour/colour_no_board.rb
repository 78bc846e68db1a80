module Rhexon
  module Checks
    module Rules
      # colour.no_board: a colour on wood that was tried on no board, or on one of other timber, preparation or
      # method. Silent for clear work and for opaque colour,
      # which comes from its can, and where a board was laid on as it is planned.
      module ColourNoBoard
        module_function

        def call(context)
          colour = context.course.open_colours.first or return []
          boards = context.piece.boards or return [ unstated(context, colour) ]
          board, differences = Boards::BoardComparison.nearest(
            boards, context.course.steps, products: context.shop.products, wood: context.piece.named_wood
          )
          return [] if differences && differences.empty?

          [ board &&
            differences.none? { |one| Boards::BoardComparison::OTHER.include?(one.kind) } ? otherwise(
              context, colour, board, differences
            ) : untried(context, colour, board, differences) ]
        end

        def unstated(context, colour)
          context.finding(
            "colour.no_board", "note", "Boards are not stated",
            "Whether #{colour.colour_name} was tried on a board is not stated.", placement: colour.first, remedies: []
          )
        end

        def untried(context, colour, board, differences)
          nearest = board ? " The nearest is #{board["name"]}: #{differences.map(&:words).join("; ")}." : ""
          context.finding(
            "colour.no_board", "caution", "No board of this",
            "#{colour.colour_name.sub(/^./, &:upcase)} on #{context.piece.named_wood || "this wood"} was not tried " \
            "on a board with what goes over it.#{nearest} A computed look is no promise.",
            placement: colour.first, remedies: [ context.go("Make a board of it", "trial") ]
          )
        end

        def otherwise(context, colour, board, differences)
          context.finding(
            "colour.no_board", "caution", "The board was made otherwise",
            "#{board["name"].sub(/^./, &:upcase)}: #{differences.map(&:words).join("; ")}. The look may come out " \
            "another one.",
            placement: colour.first, figures: { differences: differences.map(&:kind) },
            remedies: [
              *differences.filter_map { |one| as_there(context, one) }, context.go("Make a board of it", "trial")
            ]
          )
        end

        # The piece laid on as the board was.
        def as_there(context, difference)
          laid = context.course.laid.find { |one| one.step["id"] == difference.step }
          return unless laid&.first && !laid.begun?

          context.change(
            laid.first,
            "#{laid.product.name}: #{Materials::Methods::DONE.fetch(difference.there["method"])}, as on the board",
            { "method" => difference.there["method"], **(laid.coat? ? { "wet_um" => difference.there["wet_um"] } : {}) }
          )
        end
      end
    end
  end
end
