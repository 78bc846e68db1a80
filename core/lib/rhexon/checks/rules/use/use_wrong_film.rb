module Rhexon
  module Checks
    module Rules
      # use.wrong_film: what lies on top in the end does not stand up to what the piece is used for. Silent where no use
      # is said, for show pieces and furniture, for what lacks nothing, and before anything is laid on.
      module UseWrongFilm
        # What lacks that much is a matter of care; more spoils.
        CARE = 1

        module_function

        def call(context)
          top = context.course.laid.reverse.find { |one| stands?(one) } or return []
          lacks = Materials::Resistance.lacking(context.piece.use, top.product)
          lacks.empty? ? [] : [ finding(context, top, lacks) ]
        end

        # Wax over a film protects no more than the film; alone it is all there is.
        def stands?(one)
          one.first && one.product && (one.coat? || one.product.oil?) && !one.product.helper?
        end

        def finding(context, top, lacks)
          care = lacks.values.max <= CARE
          told = lacks.sort_by { |measure, lacking| [ -lacking, measure ] }.map { |measure, _| words(measure) }
          context.finding(
            "use.wrong_film", care ? "note" : "caution", care ? "It wants care in use" : "Not for this use",
            "#{top.product.name} on #{FilmTooThin.use(context)} #{care ? "bears little of" : "is soon spoilt by"} " \
            "#{list(told)} (an estimate by its kind).",
            placement: top.placements.last, figures: { lacks: lacks }, remedies: care ? [] : others(context, top)
          )
        end

        def words(measure) = Materials::Resistance.words(measure)
        def list(words) = words.size > 1 ? "#{words[0..-2].join(", ")} and #{words.last}" : words.first

        # Other things of the shelf that stand up to it, worked the same way, and hold on what lies below: those
        # without a hardener first.
        def others(context, top)
          below = context.course.laid.take_while { |one| !one.equal?(top) }.reverse.find(&:lays?)
          fitting = context.shelf.select { |product| fits?(context, product, top) && holds?(below, product) }
          fitting.sort_by { |product| product.mechanism == "reactive" ? 1 : 0 }.first(2).filter_map do |product|
            film = product.wet_um(top.step["method"])&.value
            context.change(top.placements.last, "Use #{product.name} on top",
                           { "product" => product.id, **({ "wet_um" => film } if film).to_h })
          end
        end

        def fits?(context, product, top)
          product.id != top.product.id && product.film? && product.colour == top.product.colour &&
            product.role == top.product.role && Schedule::Kinds.methods(top.step["kind"], product)
              .include?(top.step["method"]) &&
            Materials::Resistance.lacking(context.piece.use, product).empty? &&
            Reference.uses.resists.key?(product.class_id)
        end

        def holds?(below, product)
          below.nil? || %w[holds scuff].include?(Materials::Over.new(below.product, product).answer.verdict)
        end
      end
    end
  end
end
