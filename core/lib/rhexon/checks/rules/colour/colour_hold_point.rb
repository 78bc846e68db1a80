module Rhexon
  module Checks
    module Rules
      # colour.hold_point: coats go over a colour that nobody has approved. Silent where a look step follows the
      # colour, or its board was approved.
      module ColourHoldPoint
        module_function

        def looked_at?(laid, colour, upper)
          laid.drop_while { |one| !one.equal?(colour) }
            .take_while { |one| !one.equal?(upper) }
            .any? { |one| one.step["kind"] == "look" }
        end

        def call(context)
          course = context.course
          return [] if context.piece.look_approved

          colour = course.laid.select(&:colours?).last
          upper = colour && course.over(colour)
          return [] unless upper&.first && !upper.begun? && colour.first
          return [] if looked_at?(course.laid, colour, upper)

          look = {
            "id" => Schedule::Edit.free_id(context.document), "kind" => "look", "asks" => "Is this the colour?",
            "milestone" => "touch", **(colour.step["faces"] ? { "faces" => colour.step["faces"] } : {})
          }
          [ context.finding(
            "colour.hold_point", "note", "Nobody has approved the colour",
            "#{upper.product.name} goes over #{colour.colour_name}. After that it can only be made darker.",
            placement: upper.first,
            remedies: [ context.remedy("Stop and look first",
                                       { "op" => "add_step", "after" => colour.step["id"], "step" => look }) ]
          ) ]
        end
      end
    end
  end
end
