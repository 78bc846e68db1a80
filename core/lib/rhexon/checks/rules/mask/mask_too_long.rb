module Rhexon
  module Checks
    module Rules
      # mask.too_long: tape under more than two films that bridge it, or three days under the first of them. Silent
      # where it comes off after each coat, under films that the next coat melts (they part clean once scored, however
      # many), and where the shop scores along all tape. No room says that the sun lies on it, which bakes it on in a
      # day.
      module MaskTooLong
        FILMS = 2
        MOST_MIN = 3 * 1440
        PULLED = { "pull" => "each_coat" }.freeze
        private_constant :FILMS, :MOST_MIN, :PULLED

        module_function

        def call(context)
          return [] if context.piece.house["tape"] == "scored"

          on = context.placements.select { |one| %w[mask remask].include?(one.pass.kind) }
          on.filter_map { |tape| finding(context, tape) }.uniq(&:step)
        end

        def finding(context, tape)
          off = context.placements.find { |one|
            one.pass.kind == "unmask" && one.hands_start >= tape.hands_end
          } or return
          return if off.status == "done"

          coats = bridging(context, tape, off)
          films = coats.map { |coat| [ coat.pass.step["id"], coat.pass.coat ] }.uniq.size
          return if films.zero? || (films <= FILMS && off.hands_start - coats.first.work_start <= MOST_MIN)

          context.finding(
            "mask.too_long", "caution", "Tape on too long",
            "The tape stays from #{context.clock(tape.hands_end)} to #{context.clock(off.hands_start)}. It bakes on, " \
            "and the film bridges it and tears. Pull it after each coat, once the film is touch dry, and tape again.",
            placement: tape, figures: { films: films }, remedies: [ (pulled(context, tape) if films > 1) ].compact
          )
        end

        def bridging(context, tape, off)
          context.coats.select do |coat|
            coat.pass.film? && coat.hands_start.between?(tape.hands_end, off.hands_start) &&
              coat.pass.product.mechanism != "evaporative"
          end
        end

        # Where a step of the schedule takes it off, that step goes, and the plan does.
        def pulled(context, tape)
          own = context.document["steps"].select { |step| step["kind"] == "unmask" }
          pull = { "op" => "change_step", "id" => tape.pass.step["id"], "set" => PULLED }
          return context.remedy("Pull it after each coat", pull) if own.empty?

          gone = own.map { |step| { "op" => "remove_step", "id" => step["id"] } }
          context.remedy("Pull it after each coat", { "op" => "all", "operations" => [ *gone, pull ] })
        end
      end
    end
  end
end
