module Rhexon
  module Checks
    module Rules
      # mask.tears: tape that comes off a film that is hard already tears it. Silent from touch to four times that,
      # and where the shop scores along all tape.
      module MaskTears
        module_function

        def call(context)
          return [] if context.piece.house["tape"] == "scored"

          context.placements
            .select { |one| one.pass.kind == "unmask" && one.status == "planned" }
            .filter_map { |one| finding(context, one) }
        end

        def finding(context, unmask)
          touch = unmask.waits.select { |wait| wait.name == "touch" && wait.reached_at }.max_by(&:reached_at) or return
          latest = touch.from + Reference.hands.unmask_within_touches * (touch.reached_at - touch.from)
          return if unmask.work_start <= latest

          context.finding(
            "mask.tears", "note", "Score along the tape first",
            "The tape comes off #{context.clock(unmask.work_start)}, and would have come off clean until " \
            "#{context.clock(latest)}: the film is hard by then and tears unless it is scored.",
            placement: unmask
          )
        end
      end
    end
  end
end
