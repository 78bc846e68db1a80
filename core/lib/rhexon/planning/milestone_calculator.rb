module Rhexon
  module Planning
    # When a laid coat reaches its milestones: the drying model joined with what was seen at the bench and with what
    # the shop's own log has taught.
    class MilestoneCalculator
      FALLBACKS = {
        "recoat_opens" => %w[recoat_opens touch], "sand" => %w[sand recoat_opens touch],
        "rub_out" => %w[rub_out full_cure handle], "dust_safe" => %w[dust_safe touch],
        "handle" => %w[handle touch], "stack" => %w[stack handle touch]
      }.freeze
      LOOK_AGAIN_SHARE = 0.15
      LOOK_AGAIN_MIN = 5
      # What leaves no product behind dries as what carries a water dye, or as the solvent of a lacquer.
      CARRIERS = { "water" => "water_dye", "solvent" => "nitro_lacquer" }.to_h { |carrier, class_id|
        [ carrier, Materials::Product.new("id" => carrier, "class" => class_id) ]
      }.freeze

      # @param pass [Pass]
      # @return [Materials::Product] what it leaves to dry
      def self.dries(pass)
        left = pass.work.wet(pass.step)
        left ? CARRIERS.fetch(left.carrier) : pass.product
      end

      # A milestone of one pass that something waits for.
      # @!attribute milestone [Drying::Milestone, nil] nil for the floor and for work that leaves no product
      # @!attribute reached_at [Integer, nil] nil: never in this air
      # @!attribute reckoned_at [Integer, nil] the same before anything was seen at the bench
      Reached = Struct.new(:pass, :name, :from, :milestone, :school, :sheet_min, :reached_at, :reckoned_at, :bound_by,
                           :phase, keyword_init: true)

      # @param shop [Shop]
      def initialize(shop)
        @shop = shop
        @milestones, @openings, @closings = Array.new(3) { by_signature }
        @pairs = {}
      end

      # @param pass [Pass] a coat or stain
      # @param earlier [Integer] coats of its stack in the 24 h before
      # @param from [Integer] minute it is on
      # @return [Drying::Milestones]
      def milestones(pass, earlier, from)
        line = line(pass)
        @milestones[pass.signature][[ earlier, (from unless line.steady?) ]] ||= Drying::Milestones.new(
          coat(pass, earlier), line, from
        )
      end

      # @param pass [Pass] what leaves a product, or something wet, on the face
      # @param name [String] a milestone, or "dry" where no product is left
      # @param pair [Materials::Figure, nil] the pair's own wait
      # @return [Drying::Opening, nil] nil when the material has no such milestone
      def opening(pass, name, pair = nil)
        school = name == "rub_out" ? school(pass) : 1.0
        mine = @openings[pass.signature]
        mine.fetch([ name, pair, school ]) { |key| mine[key] = opened(pass, name, pair, school) }
      end

      # @param pass [Pass] a coat or stain
      # @param name [String] recoat_closes, or the end of a hard window
      # @return [Drying::Closing, nil] from the end of laying piece 1; nil when it never shuts
      def closing(pass, name = "recoat_closes")
        mine = @closings[pass.signature]
        mine.fetch(name) { mine[name] = milestones_of(pass).closing(name, factor: @shop.beliefs.closing_factor) }
      end

      # @param placed [Placement] of such a pass
      # @return [Reached, nil] nil when the material has no such milestone
      def reached(placed, name, pair = nil)
        opening = opening(placed.pass, name, pair) or return
        return dried(placed, opening) if name == "dry"

        milestone = (placed.milestones.opens_after_pair(pair) if name == "recoat_opens" && pair) ||
          placed.milestones[known(placed.pass, name)]
        answer = Reached.new(pass: placed.pass, name: name, from: placed.work_end, milestone: milestone,
                             school: name == "rub_out" ? school(placed.pass) : 1.0, sheet_min: milestone.sheet_min,
                             bound_by: milestone.bound_by ||
                               (milestone.name unless milestone.name == name), phase: milestone.phase)
        answer.reckoned_at = opening.at(placed.work_end, placed.earlier)
        answer.reached_at = seen(placed, name, opening.at(placed.work_end, placed.earlier, scale(placed)))
        floored(answer, opening)
      end

      # @return [Integer, nil] the same as a minute alone
      def reached_at(placed, name, pair = nil)
        opening = opening(placed.pass, name, pair) or return
        if name == "dry"
          opening.at(placed.work_end)
        else
          seen(placed, name, opening.at(placed.work_end, placed.earlier, scale(placed)))
        end
      end

      # @param placed [Placement] of a pass that leaves a product
      # @param share [Float] 0 to 1
      # @return [Integer, nil] minute at which it is so far on its way to full cure; nil: never, or it has none
      def cured_at(placed, share)
        opening(placed.pass, "full_cure")&.part_of(share)&.at(placed.work_end, placed.earlier, scale(placed))
      end

      # @return [Integer, nil] minute the recoat window shuts; nil when it never does
      def closes_at(placed) = placed.milestones && closing(placed.pass)&.at(placed.first_end)

      # @return [Materials::Figure, nil] the pair's own wait
      def pair(lower, upper)
        @pairs.fetch([ lower.id, upper.id ]) { |key| @pairs[key] = Materials::Pairs.wait(lower, upper) }
      end

      # The milestone that stands for one the sheet does not give.
      # @return [String]
      def known(pass, name)
        FALLBACKS.fetch(name, [ name ]).find { |candidate| pass.product.milestone(candidate, pass.method)&.value } ||
          name
      end

      private

      def line(pass) = @shop.line(pass.dry_room)

      # Passes of one signature dry alike. It is one object wherever it is the same: Expansion sees to that.
      def by_signature = Hash.new { |all, signature| all[signature] = {} }.compare_by_identity

      def milestones_of(pass)
        @milestones[pass.signature][nil] ||= Drying::Milestones.new(coat(pass, 0), line(pass), @shop.now)
      end

      def opened(pass, name, pair, school)
        return drying(pass) if name == "dry"

        milestones_of(pass).opening(known(pass, name), pair: name == "recoat_opens" ? pair : nil, factor: school,
                                                       least: name == "rub_out" ? floor_min(pass) : 0)
      end

      def coat(pass, earlier)
        Drying::Milestones::Coat.new(product: pass.product, method: pass.method, wet_um: pass.wet_um,
                                     earlier_coats: earlier, stack_dry_um: pass.stack_dry_um,
                                     shop: @shop.beliefs.factors(pass.product),
                                     hardener_parts: Mixing::ProductMix.hardener_parts(pass.product, pass.step))
      end

      def drying(pass)
        left = pass.work.wet(pass.step)
        progress = Drying::Rate.progress(MilestoneCalculator.dries(pass), "early", line(pass))
        Drying::Opening.new([ Drying::Opening::Part.new(progress, left.minutes.to_f, "early").freeze ])
      end

      # A brisk school does not go below what a sheet says.
      def school(pass)
        factor = Reference.hands.rub_out_school.fetch(pass.piece.house.fetch("rub_out"))
        on_sheet?(pass) ? [ factor, 1.0 ].max : factor
      end

      # 72 h where the time is an estimate; a sheet's own figure wins.
      def floor_min(pass) = on_sheet?(pass) ? 0 : Reference.hands.rub_out_floor_min

      def on_sheet?(pass)
        pass.product&.milestone(known(pass, "rub_out"), pass.method).then { |figure| figure && !figure.estimate }
      end

      def floored(answer, opening)
        if opening.least.zero? || answer.reached_at.nil? || answer.reached_at > answer.from + opening.least
          return answer
        end

        answer.tap do |reached|
          reached.reached_at = answer.from + opening.least
          reached.bound_by = "floor"
          reached.sheet_min = opening.least
        end
      end

      def dried(placed, opening)
        dry = opening.at(placed.work_end)
        Reached.new(pass: placed.pass, name: "dry", from: placed.work_end,
                    sheet_min: placed.pass.work.wet(placed.pass.step).minutes, school: 1.0, phase: "early",
                    reached_at: dry, reckoned_at: dry)
      end

      # A coat that was seen to be late is late for all its openings, in proportion.
      def scale(placed)
        return 1.0 unless placed.looks&.any?

        placed.looks.group_by(&:first).map { |name, looks| scale_of(placed, name, looks) }.max
      end

      def scale_of(placed, name, looks)
        milestone = placed.milestones[known(placed.pass, name)]
        predicted = milestone&.minutes
        return 1.0 unless predicted&.finite? && predicted.positive?

        not_yet = looks.reverse.find { |_, answer, _| answer == "not_yet" } or return 1.0
        dry = looks.find { |_, answer, minute| answer == "dry" && minute >= not_yet[2] }
        seen = dry ? dry[2] : not_yet[2] + [ LOOK_AGAIN_MIN, LOOK_AGAIN_SHARE * predicted ].max
        [ by_then(placed, milestone, seen) / milestone.needed, 1.0 ].max
      end

      # Reference minutes that had passed when it was seen.
      def by_then(placed, milestone, minute)
        Drying::Rate.progress(placed.pass.product, milestone.phase, line(placed.pass))
          .between(placed.work_end, minute)
      end

      # "Dry" means reached at the look at the latest; "not yet" that it was not reached then.
      def seen(placed, name, reached_at)
        (placed.looks || []).each do |looked, said, minute|
          next unless looked == name || MilestoneCalculator.implies?(looked, name)

          reached_at = minute if said == "dry" && (reached_at.nil? || reached_at > minute)
        end
        reached_at
      end

      # A film that passed the test of a later milestone has reached the earlier ones.
      def self.implies?(looked, name)
        [ Drying::Milestones::ORDER, Drying::Milestones::HARD_ORDER ].any? do |chain|
          chain.include?(looked) && chain.include?(name) && chain.index(name) < chain.index(looked)
        end
      end
    end
  end
end
