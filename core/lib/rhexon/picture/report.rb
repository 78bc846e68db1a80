module Rhexon
  module Picture
    # The plan as rhexon-plan/1: instants ISO 8601 with the shop's offset, rates so that anybody can integrate.
    class Report
      # @param changes [Boolean] replan what would give a piece without a date one
      def initialize(plan, changes: true)
        @changes = changes
        @plan = plan
        @shop = plan.shop
        @zone = plan.shop.zone
      end

      # @return [Hash{String=>Object}]
      def to_h
        { "format" => "rhexon-plan/1", "input_digest" => @shop.digest, "now" => iso(@shop.now), "open" => open,
          "rates" => rates, "passes" => @plan.placements.map { |placement| pass(placement) },
          "batches" => @plan.batches.map { |batch| batch(batch) },
          "pieces" => @shop.pieces.map { |piece| piece(piece) }, "goal" => goal, "bound" => bound,
          "moved" => moved, "previous" => Planning::Start.of(@plan), "lapsed_pins" => @plan.build.lapsed,
          "infeasible" => infeasible,
          "search" => { "builds" => @plan.builds, "seed" => @shop.seed,
                        "proven" => latest_ready == @plan.bound.ready_at } }
      end

      private

      def bound
        { "ready_at" => iso(@plan.bound.ready_at), "because" => @plan.bound.because, "passes" => @plan.bound.passes }
      end

      def iso(minute) = @zone.iso(minute)

      def open
        last = @plan.placements.map(&:hands_end).max || @shop.now
        first = [ @plan.placements.map(&:hands_start).min, @shop.now ].compact.min
        @shop.people.to_h do |person|
          [ person.id, person.calendar.between(first, last + 1440).map { |from, to| [ iso(from), iso(to) ] } ]
        end
      end

      # Reference minutes per real minute, air included: from an instant on this rate, until the next.
      def rates
        last = @plan.placements.flat_map(&:waits).filter_map(&:reached_at).max
        from = [ @plan.placements.map(&:hands_start).min, @shop.now ].compact.min
        @plan.placements.flat_map(&:waits).each_with_object({}) do |wait, rooms|
          (rooms[wait.pass.dry_room] ||= {})[group(wait)] ||= progress(wait)
            &.rates(from, last)
            &.map { |minute, rate| [ iso(minute), rate.round(9) ] } ||
            [ [ iso(from), 1.0 ] ]
        end
      end

      # The clock of the floor has none.
      def progress(wait)
        return if group(wait) == "clock"

        Drying::Rate.progress(Planning::MilestoneCalculator.dries(wait.pass), wait.phase,
                              @shop.line(wait.pass.dry_room))
      end

      def group(wait)
        return "clock" if wait.bound_by == "floor"

        return wait.pass.product.rate_group(wait.phase) if wait.milestone

        "#{wait.pass.work.wet(wait.pass.step).carrier}.early"
      end

      def pass(placement)
        pass = placement.pass
        { "key" => pass.key, "piece" => pass.piece.id, "step" => pass.step["id"], "coat" => pass.coat,
          "part" => pass.part, "pieces" => [ pass.range.begin + 1, pass.range.end + 1 ], "sections" => pass.sections,
          "faces" => pass.faces, "caught" => pass.caught, "kind" => pass.kind,
          "dry" => pass.dust, "inserted" => pass.inserted, "status" => placement.status,
          "person" => placement.person, "room" => pass.room, "dry_room" => pass.dry_room,
          "tools" => [ placement.tool ].compact, "rack_places" => pass.leaves_something? ? pass.count : 0,
          "watched" => watched(pass), "batch" => batch_of[pass.key], "because" => placement.because,
          **times(placement), **slack(placement) }
      end

      def times(placement)
        { "hands" => placement.hands.map { |from, to| [ iso(from), iso(to) ] },
          "hands_start" => iso(placement.hands_start), "work_start" => iso(placement.work_start),
          "first_end" => iso(placement.first_end), "work_end" => iso(placement.work_end),
          "hands_end" => iso(placement.hands_end), "waits_for" => placement.waits.map { |wait| wait(wait) },
          "window" => window(placement.window), "dust_safe_at" => reached(placement, "dust_safe"),
          "handle_at" => reached(placement, "handle") }
      end

      def slack(placement)
        slack = @plan.slack[placement.pass.key]
        { "earliest" => iso(slack&.earliest || placement.hands_start),
          "latest" => iso(slack&.latest || placement.hands_start) }
      end

      def batch(batch)
        { "id" => batch.id, "product" => batch.product.id, "mixed_at" => iso(batch.mixed_at),
          "usable_until" => iso(batch.usable_until), "passes" => batch.passes, "ml" => batch.ml.round,
          "pours" => batch.sheet.pours.map { |pour| { "name" => pour.name, "g" => pour.g.round(1) } } }
      end

      # The first batch of a pass.
      def batch_of
        @batch_of ||= @plan.batches.reverse.flat_map { |batch| batch.passes.map { |key| [ key, batch.id ] } }.to_h
      end

      def reached(placement, milestone) = placement.milestones && iso(@plan.drier.reached_at(placement, milestone))

      def wait(wait)
        factors = wait.milestone&.own || {}
        { "pass" => wait.pass.key, "milestone" => wait.name, "bound_by" => wait.bound_by, "from" => iso(wait.from),
          "sheet_min" => wait.sheet_min,
          "factors" => wait.bound_by ==
            "floor" ? {} : factors.transform_keys(&:to_s)
              .merge("school" => wait.school)
              .transform_values { |factor| factor.round(9) },
          "group" => group(wait), "reached_at" => iso(wait.reached_at) }
      end

      def window(window)
        window &&
          {
            "of" => window.of.key, "opens_at" => iso(window.opens_at), "closes_at" => iso(window.closes_at),
            "state" => window.state
          }
      end

      def piece(piece)
        id = piece.id
        { "id" => id, "touch_at" => iso(@plan.reached_at(id, "touch")), "ready_at" => iso(@plan.build.ready[id]),
          "rub_out_at" => iso(@plan.reached_at(id, "rub_out")),
          "cured_at" => iso(@plan.reached_at(id, "full_cure")), "due" => iso(piece.due),
          "hands_min" => @plan.hands_min(id), "elapsed_min" => @plan.elapsed_min(id),
          "film_um" => piece.faces.keys.map { |face| @plan.film(id, face).final.total_um }.max.round(1) }
      end

      def goal
        goal = @plan.model.goal
        {
          "name" => @shop.goal, "late_min" => @plan.build.late_min, "latest_ready" => iso(latest_ready),
          "scuffs" => @plan.build.scuffs.size, "sessions" => goal.sessions(@plan.trial),
          "hands_min" => goal.hands_min(@plan.trial), "value" => @plan.build.goal
        }
      end

      def latest_ready = @plan.build.ready.values.compact.max || @shop.now

      # From the first to the last pass of a hard window somebody stays near.
      def watched(pass)
        block = @plan.model.blocks.compact.find do |candidate|
          candidate.watched && pass.index&.between?(candidate.first, candidate.last)
        end
        return if block.nil? || (block.sitting && @plan.model.out_of_reach[block.first])

        {
          "kind" => @plan.model.passes[block.last].hard&.kind || "sitting",
          "from" => iso(@plan.build.by_index[block.first]&.hands_start),
          "to" => iso(@plan.build.by_index[block.last]&.hands_end)
        }
      end

      # What the plan that was kept had otherwise, and why.
      def moved
        Planning::Moves.for(@plan).map do |move|
          {
            "pass" => move.key, "from" => iso(move.from), "to" => iso(move.to), "person" => move.person,
            "because" => move.because
          }
        end
      end

      def infeasible
        blocked = @plan.build.blocked
        return if blocked.empty?

        piece, first = blocked.first
        alike = blocked.each_value.select { |block| block.constraint == first.constraint }
        {
          "constraint" => first.constraint, "passes" => alike.map(&:pass),
          "changes" => @changes ? changes(piece) : [],
          "also" => (blocked.values - alike).map { |block|
            { "constraint" => block.constraint, "passes" => [ block.pass ] }
          }
        }
      end

      # The smallest changes that would do, each with its date.
      def changes(piece_id)
        Compare::WhatIf.for(@plan, piece_id).select(&:ready_at).map do |answer|
          { "change" => answer.label, "ready_at" => iso(answer.ready_at) }
        end
      end
    end
  end
end
