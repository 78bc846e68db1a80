module Rhexon
  module Planning
    # When a laid coat reaches its milestones: the drying model joined with what was seen at the bench.
    class Drier
      FALLBACKS = { "recoat_opens" => %w[recoat_opens touch], "sand" => %w[sand recoat_opens touch], "rub_out" => %w[rub_out full_cure handle],
                    "dust_safe" => %w[dust_safe touch], "handle" => %w[handle touch], "stack" => %w[stack handle touch] }.freeze
      LOOK_AGAIN_SHARE = 0.15
      LOOK_AGAIN_MIN = 5

      # A milestone of one pass that something waits for.
      # @!attribute milestone [Drying::Milestone, nil] nil for the floor and for raised grain
      # @!attribute reached_at [Integer, nil] nil: never in this air
      # @!attribute reckoned_at [Integer, nil] the same before anything was seen at the bench
      Reached = Struct.new(:pass, :name, :from, :milestone, :school, :sheet_min, :reached_at, :reckoned_at, :bound_by, :phase, keyword_init: true)

      def initialize(shop)
        @shop = shop
        @cache = {}
        @pairs = {}
      end

      # @param pass [Pass] a coat or stain
      # @param earlier [Integer] coats of its stack in the 24 h before
      # @param from [Integer] minute it is on
      # @return [Drying::Milestones]
      def milestones(pass, earlier, from)
        line = @shop.rooms.fetch(pass.room)
        key = [ pass.product.id, pass.method, pass.wet_um, earlier, pass.stack_dry_um, pass.room, (from unless line.steady?) ]
        @cache[key] ||= Drying::Milestones.new(
          Drying::Milestones::Coat.new(product: pass.product, method: pass.method, wet_um: pass.wet_um, earlier_coats: earlier, stack_dry_um: pass.stack_dry_um, shop: 1.0), line, from
        )
      end

      # @param placed [Placement] of a coat, stain or raise_grain pass
      # @param name [String] a milestone, or "dry" for raised grain
      # @param pair_min [Numeric, nil]
      # @return [Reached, nil] nil when the material has no such milestone
      def reached(placed, name, pair_min = nil)
        return grain(placed) if name == "dry"

        milestone = milestone(placed, name, pair_min) or return
        school = milestone.name == "rub_out" ? school(placed) : 1.0
        answer = Reached.new(pass: placed.pass, name: name, from: placed.work_end, milestone: milestone, school: school, sheet_min: milestone.sheet_min,
                             bound_by: milestone.bound_by || (milestone.name unless milestone.name == name), phase: milestone.phase)
        answer.reckoned_at = at(placed, milestone, school)
        answer.reached_at = at(placed, milestone, school * scale(placed))
        seen(placed, name, answer)
        name == "rub_out" ? floor(placed, answer) : answer
      end

      # @return [Numeric, nil] the pair's own wait, reference minutes
      def pair_min(lower, upper)
        key = [ lower.id, upper.id ]
        @pairs.fetch(key) { @pairs[key] = Materials::Pairs.wait_min(lower, upper) }
      end

      # @return [Integer, nil] minute the recoat window shuts, reckoned from the end of laying piece 1; nil when it never does
      def closes_at(placed)
        line = @shop.rooms.fetch(placed.pass.room)
        minutes = placed.milestones&.closes_min(line.steady? ? placed.milestones.from : placed.first_end)
        minutes && placed.first_end + minutes.floor
      end

      private

      # Milestones of a steady room serve coats laid at any minute.
      def at(placed, milestone, factor)
        line = @shop.rooms.fetch(placed.pass.room)
        return (milestone.minutes.finite? ? placed.work_end + (milestone.minutes * factor).ceil : nil) if line.steady?

        minute = placed.milestones.reached(milestone.phase, milestone.needed * factor)
        minute && [ minute.ceil, placed.work_end ].max
      end

      def milestone(placed, name, pair_min)
        return placed.milestones.opens_after_pair(pair_min) if name == "recoat_opens" && pair_min

        FALLBACKS.fetch(name, [ name ]).each { |candidate| (found = placed.milestones[candidate]) and return found }
        nil
      end

      def school(placed) = Reference.table("hands").fetch("rub_out_school").fetch(placed.pass.piece.house.fetch("rub_out"))

      # Never below 72 h, whatever the sheet and the air say.
      def floor(placed, answer)
        least = Reference.table("hands").fetch("rub_out_floor_min")
        return answer if answer.reached_at.nil? || answer.reached_at >= placed.work_end + least

        answer.tap do |reached|
          reached.reached_at = placed.work_end + least
          reached.bound_by = "floor"
          reached.sheet_min = least
        end
      end

      def grain(placed)
        product = Materials::Product.new("id" => "water", "class" => "water_dye")
        least = Reference.table("hands").fetch("raise_grain_dry_min")
        dry = Drying::Rate.progress(product, "early", @shop.rooms.fetch(placed.pass.room)).reached(placed.work_end, least).ceil
        Reached.new(pass: placed.pass, name: "dry", from: placed.work_end, sheet_min: least, school: 1.0, phase: "early", reached_at: dry, reckoned_at: dry)
      end

      # A coat that was seen to be late is late for all its openings, in proportion.
      def scale(placed)
        return 1.0 unless placed.looks&.any?

        placed.looks.group_by(&:first).map { |name, looks| scale_of(placed, name, looks) }.max
      end

      def scale_of(placed, name, looks)
        milestone = milestone(placed, name, nil)
        predicted = milestone&.minutes
        return 1.0 unless predicted&.finite? && predicted.positive?

        not_yet = looks.reverse.find { |_, answer, _| answer == "not_yet" } or return 1.0
        dry = looks.find { |_, answer, minute| answer == "dry" && minute >= not_yet[2] }
        seen = dry ? dry[2] : not_yet[2] + [ LOOK_AGAIN_MIN, LOOK_AGAIN_SHARE * predicted ].max
        [ by_then(placed, milestone, seen) / milestone.needed, 1.0 ].max
      end

      # Reference minutes that had passed when it was seen.
      def by_then(placed, milestone, minute)
        line = @shop.rooms.fetch(placed.pass.room)
        line.steady? ? (minute - placed.work_end) * milestone.needed / milestone.minutes : placed.milestones.passed(milestone.phase, minute)
      end

      # "Dry" means reached at the look at the latest; "not yet" that it was not reached then.
      def seen(placed, name, answer)
        (placed.looks || []).each do |looked, said, minute|
          next unless looked == name || Drier.implies?(looked, name)

          answer.reached_at = minute if said == "dry" && (answer.reached_at.nil? || answer.reached_at > minute)
        end
      end

      # A film that passed the test of a later milestone has reached the earlier ones.
      def self.implies?(looked, name)
        [ Drying::Milestones::ORDER, Drying::Milestones::HARD_ORDER ].any? { |chain| chain.include?(looked) && chain.include?(name) && chain.index(name) < chain.index(looked) }
      end
    end
  end
end
