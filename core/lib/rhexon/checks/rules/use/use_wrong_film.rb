module Rhexon
  module Checks
    module Rules
      # use.wrong_film: what lies on top in the end does not stand up to what the piece is used for. Silent where no use
      # is said, for show pieces and furniture, for what lacks nothing, and before anything is laid on.
      module UseWrongFilm
        # What lacks that much is a matter of care; more spoils.
        CARE = 1

        NONE = "nothing on the shelf stands up to it, is laid on this way and holds on what is below"

        module_function

        def call(context)
          placed = context.course.laid.select { |one| one.first && one.product }.reverse
          top = placed.find { |one| stands?(one) } || placed.find { |one| one.step["kind"] == "wax" } or return []
          lacks = Materials::Resistance.lacking(context.piece.use, top.product)
          lacks.empty? ? [] : [ finding(context, top, lacks) ]
        end

        # Wax over a film protects no more than the film; alone it is all there is.
        def stands?(one) = one.coat? || one.product.oil?

        def finding(context, top, lacks)
          care = lacks.values.max <= CARE
          told = lacks.sort_by { |measure, lacking| [ -lacking, measure ] }.map { |measure, _| words(measure) }
          context.finding(
            "use.wrong_film", care ? "note" : "caution", care ? "It wants care in use" : "Not for this use",
            "#{top.product.name} on #{FilmTooThin.use(context)} #{care ? "bears little of" : "is soon spoilt by"} " \
            "#{Rhexon.listed(told)} (an estimate by its kind).",
            placement: top.placements.last, figures: { lacks: lacks }, remedies: care ? [] : others(context, top)
          )
        end

        def words(measure) = Materials::Resistance.words(measure)

        # Other things of the shelf that stand up to it, worked the same way, and hold on what lies below: those
        # without a hardener first.
        def others(context, top)
          below = context.course.laid.take_while { |one| !one.equal?(top) }.reverse.find(&:lays?)
          fitting = context.shelf.select do |product|
            fits?(context, product, top) && context.holds?(below&.product, product)
          end
          return [ context.ruled_out("Another film on top", NONE) ] if fitting.empty?

          first = fitting.sort_by.with_index { |product, at| [ product.mechanism == "reactive" ? 1 : 0, at ] }.first(2)
          first.map do |product|
            context.change(top.placements.last, "Use #{product.name} on top",
                           Schedule::Swap.set(top.step, product))
          end
        end

        # A film instead of a film: oil and wax are worked another way.
        def fits?(context, product, top)
          top.coat? && product.film? && product.id != top.product.id && product.colour == top.product.colour &&
            [ nil, *Reference.uses.top_roles ].include?(product.role) &&
            Reference.uses.resists.key?(product.class_id) &&
            Schedule::Kinds.methods(top.step["kind"], product).include?(top.step["method"]) &&
            Materials::Resistance.lacking(context.piece.use, product).empty?
        end
      end
    end
  end
end
