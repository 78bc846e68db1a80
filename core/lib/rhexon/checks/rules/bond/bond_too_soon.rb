module Rhexon
  module Checks
    module Rules
      # bond.too_soon, bond.pair_wait, time.rub_too_soon, time.handle_too_soon: work starts before its milestone, by a
      # pin or a logged fact. The plan itself never does it, and is looked at all the same; over a stain it leaves the
      # word to colour.stain_not_dry.
      module BondTooSoon
        SOFT = "The film below is still soft: it drags, wrinkles or traps what should leave.".freeze
        SUNK = "The film goes on shrinking: scratches and pores come back, and the gloss sinks.".freeze
        MARKED = "The film is still soft: hands and supports print into it.".freeze
        IDS = { "rub_out" => "time.rub_too_soon", "handle" => "time.handle_too_soon" }.freeze
        DAMP = "What is below is still damp: it clogs the paper, and stands up again under the next coat.".freeze

        HOW = { "log" => "went on", "pin" => "is pinned" }.freeze

        module_function

        def call(context)
          context.placements.reject { |placement| placement.pass.work.idle? }.filter_map do |placement|
            early = early(placement)
            finding(context, placement, early) if early && early.pass.kind != "stain"
          end
        end

        # @return [Planning::MilestoneCalculator::Reached, nil] the milestone that was missed by most
        def early(placement)
          placement.waits
            .select { |wait| wait.reached_at && missed?(placement, wait) }
            .max_by(&:reached_at)
        end

        # What was done a few minutes before an estimate was done in time; and nobody knows whether what was noted as
        # done below was the last stroke, or the clean brush after it.
        def missed?(placement, wait)
          by = wait.reached_at - placement.work_start
          return by.positive? unless placement.because == "log"

          by > Reference.limits.early_share * (wait.reached_at - wait.from) + wait.pass.cleanup_min
        end

        def finding(context, placement, early)
          milestone = Schedule::Words::MILESTONES.fetch(early.name)
          by = context.duration(early.reached_at - placement.work_start)
          sentence = "#{context.title(placement)} #{HOW.fetch(placement.because, "is planned")} #{by} " \
                     "before #{milestone} (#{context.clock(early.reached_at)}). #{comes_of(early)}"
          context.finding(
            id(placement, early), "stop", "Too soon", sentence, placement: placement,
            figures: { reached_at: early.reached_at, starts_at: placement.work_start },
            remedies: placement.because == "pin" ? [ move(context, placement, early), unpin(context, placement) ] : []
          )
        end

        # The pair's own wait, where that is longer than what the lower one asks for by itself.
        def id(placement, early)
          lower, upper = early.pass.product, placement.pass.product
          pair = early.name == "recoat_opens" && upper && Materials::Pairs.wait(lower, upper)
          pair ? "bond.pair_wait" : IDS.fetch(early.name, "bond.too_soon")
        end

        def comes_of(early)
          { "dry" => DAMP, "rub_out" => SUNK, "handle" => MARKED, "stack" => MARKED }.fetch(early.name, SOFT)
        end

        def move(context, placement, early)
          start = context.attended(placement, Planning::Calendar.ceil(early.reached_at - placement.pass.setup_min))
          return unless start

          context.pin("Move it to #{context.clock(start)}", placement, start)
        end

        def unpin(context, placement) = context.pin("Let the plan place it", placement, nil)
      end
    end
  end
end
