module Rhexon
  module Checks
    module Rules
      # pore.trapped: a filler lies under a water dye, which it takes unevenly, or a coat goes over it before it was
      # sanded back. Silent over a slurry, and where an abrasion lies between.
      module PoreTrapped
        module_function

        def call(context)
          context.course.laid
            .select { |one| one.step["kind"] == "fill" && one.step["way"] != "slurry" && one.first }
            .filter_map { |fill| finding(context, fill) }.first(1)
        end

        def finding(context, fill)
          upper = context.course.over(fill)
          return if upper.nil? || upper.begun? || %w[fill wax].include?(upper.step["kind"])
          return dyed(context, fill, upper) if upper.stain? && upper.product.carrier == "water"

          between = context.course.steps
            .drop_while { |step| !step.equal?(fill.step) }
            .take_while { |step| !step.equal?(upper.step) }
          left(context, fill, upper) if between.none? { |step| Work::Kind.find(step["kind"]).abrades? }
        end

        def dyed(context, fill, upper)
          context.finding(
            "pore.trapped", "caution", "Filler under a water dye",
            "#{upper.product.name} goes over #{fill.product.name}: what fills the pores takes a water dye otherwise " \
            "than the wood. Dye first, then fill.",
            placement: upper.first, remedies: [ after(context, fill, upper) ]
          )
        end

        def after(context, fill, upper)
          return if fill.begun?

          sanded = context.course.steps
            .drop_while { |step| !step.equal?(fill.step) }
            .take_while { |step| !step.equal?(upper.step) }
            .map { |step| step["id"] }
          moves = sanded.each_with_index.map do |id, index|
            { "op" => "move_step", "id" => id, "after" => index.zero? ? upper.step["id"] : sanded[index - 1] }
          end
          context.remedy("Fill after the dye", { "op" => "all", "operations" => moves })
        end

        def left(context, fill, upper)
          context.finding(
            "pore.trapped", "caution", "Filler left on the surface",
            "#{upper.product.name} goes over #{fill.product.name} before that is sanded back: what is left on the " \
            "face shows as haze.",
            placement: upper.first,
            remedies: [
              context.put_after(fill.step, "Sand it back with P220", { "kind" => "sand", "grits" => [ "P220" ] })
            ]
          )
        end
      end
    end
  end
end
