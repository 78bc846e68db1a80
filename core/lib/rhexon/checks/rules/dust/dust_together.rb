module Rhexon
  module Checks
    module Rules
      # dust.together: the log says that something was sanded dry in a room while a film there could still catch dust,
      # or that a coat was sprayed before the dust of such work had settled.
      # The plan itself never does it, and a pin that would is listed as lapsed: so it is silent without the log, for
      # wet sanding, and once the next work on the film has begun.
      module DustTogether
        module_function

        def call(context)
          wet = context.coats.select { |coat| coat.status == "done" && fresh?(context, coat) }
          wet.empty? ? [] : wet.filter_map { |coat| finding(context, coat) }.uniq(&:step)
        end

        # Nothing has gone over it yet.
        def fresh?(context, coat)
          later = context.placements.select { |one| one.work_start > coat.work_start && one.status != "planned" }
          later.none? { |one| (one.pass.faces & coat.pass.faces).any? }
        end

        def finding(context, coat)
          until_minute = context.plan.drier.reached_at(coat, "dust_safe") or return
          dusty = context.plan.placements.find do |other|
            other.pass.dust && other.status != "planned" && other.pass.room == coat.pass.dry_room &&
              other.work_start < until_minute && other.hands_end + hangs(coat) > coat.work_start
          end
          dusty && told(context, coat, dusty, until_minute)
        end

        # A gun's air lifts what has not settled.
        def hangs(coat) = coat.pass.method == "spray" ? coat.pass.piece.house.fetch("dust_settles_min") : 0

        def told(context, coat, dusty, until_minute)
          sanded = if dusty.hands_end <= coat.work_start
            "ended at #{context.clock(dusty.hands_end)}, before its dust had settled"
          else
            "began at #{context.clock(dusty.work_start)}"
          end
          context.finding(
            "dust.together", "caution", "Dust flew while it was wet",
            "#{context.title(coat)} dried in the #{coat.pass.dry_room} until #{context.clock(until_minute)}, and " \
            "sanding there #{sanded}: nibs stand in it. Look, and denib it before anything goes over.",
            placement: coat, figures: { dust_safe_at: until_minute, sanded_at: dusty.work_start },
            remedies: [ denibbed(context, coat) ]
          )
        end

        def denibbed(context, coat)
          context.put_after(coat.pass.step, "Denib it",
                            { "kind" => "level", "aim" => "denib", "grits" => [ "P320" ] })
        end
      end
    end
  end
end
