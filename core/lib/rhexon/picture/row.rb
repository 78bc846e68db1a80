module Rhexon
  module Picture
    # One pass of the step list, with all that its detail shows.
    class Row
      # @!attribute t_c, rh [Array(Float, Float)] lowest and highest of the air it dries in
      # @!attribute rows [Array<Array(String, Float)>] cause and minutes it adds; they sum to +minutes+
      Ledger = Struct.new(:milestone, :words, :from, :reached_at, :minutes, :rows, :sheet, :source, :estimate,
                          :bound_by, :follower, :t_c, :rh, :air, :shop, keyword_init: true)

      attr_reader :placement, :number

      def initialize(plan, placement, number)
        @plan = plan
        @placement = placement
        @number = number
        @pass = placement.pass
      end

      def key = @pass.key
      def step = @pass.step["id"]
      def coat = @pass.coat
      def kind = @pass.kind
      def inserted = @pass.inserted
      # @return [String] of the work, as core/data/new_steps.yml names them; waits stand with the cure
      def phase = @pass.work.phase(@pass.step).then { |own| own == "wait" ? "cure" : own }
      def status = placement.status
      def because = placement.because
      def pinned = !@pass.inserted && @plan.shop.pins.key?(@pass.key)
      def room = @pass.room
      def dry_room = @pass.dry_room
      def person = placement.person
      def tool = placement.tool
      def caught = @pass.caught
      def faces = @pass.faces
      def hands = placement.hands
      def hands_start = placement.hands_start
      def work_start = placement.work_start
      def work_end = placement.work_end
      def hands_end = placement.hands_end
      def hands_min = placement.hands.sum { |from, to| to - from }
      def setup_min = @pass.setup_min
      def earliest = slack&.earliest || placement.hands_start
      def latest = slack&.latest || placement.hands_start
      def window_state = placement.window&.state || "none"
      def window_opens_at = placement.window&.opens_at
      def window_closes_at = placement.window&.closes_at

      # @return [String] "Coat 2", "Sand P150", "Scuff P320"
      def label
        turned = Planning::Turns.for(@pass.piece, @pass.step).size > 1 ? "#{faces.join(" and ")}: " : ""
        text = "#{turned}#{turned.empty? ? own_words : own_words.sub(/^./, &:downcase)}".sub(/^./, &:upcase)
        @pass.part ? "#{text}, #{pieces}" : text
      end

      # @return [Boolean, nil] its coats are laid in one sitting; nil: they cannot be
      def sits
        step, product = @pass.step, @pass.product
        return unless step["coats"].to_i > 1 && !@pass.inserted && Planning::Sittings.possible?(step, product)

        Planning::Sittings.asked?(step, product)
      end

      # Film after this pass on the face with the most film, and the change it makes, µm.
      def film_um = snapshot&.after&.total_um&.round(1)
      def change_um = snapshot && (snapshot.after.total_um - snapshot.before.total_um).round(1)

      # @return [Float, nil] GU at 60° after this pass; nil: bare wood, or not known
      def sheen_gu = moment&.after&.sheen_gu&.to_f&.round(1)

      # What the face is like after it, where that matters, in a few words each.
      # @return [Array<String>]
      def leaves = moment ? SurfaceWords.of(moment) : []

      # What it rubs with, and what each rung leaves.
      # @return [Array<Rungs::Rung>]
      def rungs = moment && @pass.abrasion? ? Rungs.of(@pass, moment.before) : []

      # Of a look that sends steps round again: what a round takes, and how far the most of them would go.
      # @return [LoopRounds::Round, nil]
      def round = LoopRounds.of(@plan, @pass)

      # Share of the depth of the pores that is filled, before and after; nil: the pass has nothing to do with them.
      # @return [Array(Float, Float), nil]
      def pores
        change = moment && [ moment.before, moment.after ].map(&:pores_filled)
        change.map { |share| share.round(3) } if change && (@pass.kind == "fill" || change.uniq.size > 1)
      end

      # @return [Integer, nil] ml to lay on in this pass, transfer losses included
      def laid_on_ml = laying&.laid_ml&.round

      # @return [Mix, nil] what is mixed for this pass
      def mix = laying && @mix ||= Mix.new(@plan, @pass, laying)

      def dry_um = snapshot && @pass.film? ? change_um : nil

      # @return [String, nil] how the coat is laid on
      def pattern
        [ Schedule::Words.pattern(@pass.step, mark), in_sections, on_floor.words ]
          .compact
          .join("; ")
          .then { |words| words unless words.empty? }
      end

      # @return [Array<Integer>] alike pieces that were ticked, from 1
      def ticked = logged&.ticks&.keys || []

      # What was measured while it was laid: comb, µm, and pot before and after, g.
      # @return [Hash]
      def measured = { comb_um: logged&.comb_um, pot_g: logged&.pot_g }.compact

      # Figures of the shop's own that it is reckoned with: factors on what is taken otherwise.
      # @return [Hash{Symbol=>Float}] hands, lands, rubs
      def own
        hands = @plan.shop.pace.factor(@pass.kind, @pass.method)
        { hands: (hands unless hands == 1.0), lands: (@pass.transfer if laying && !laying.wiped),
          rubs: (@pass.rubs if @pass.abrasion? && @pass.step["removes_um"].nil?) }.compact
          .transform_values { |factor| factor.round(2) }
      end

      # @return [Hash, nil] of {SpotMix}
      def spot_mix = SpotMix.new(@plan, @pass).to_h

      # @return [Hash, nil] of {CountedDrops}
      def drops = CountedDrops.new(@plan, @pass).to_h

      # A coat of a floor that was sketched.
      # @return [FloorCoat]
      def on_floor = @on_floor ||= FloorCoat.new(@plan, placement)

      # @return [Areas::Floor, nil] nil where it is no floor, or no edge can be kept wet
      def floor = on_floor.floor
      def air_on_at = on_floor.air_on_at

      # Where pad or brush waits for the next coat of the same material; what is mixed with water or a hardener is
      # washed out each time.
      # @return [String, nil]
      def rests
        unless @pass.leaves_something? && @pass.product.carrier != "water" && @pass.product.pot_life_min&.value.nil?
          return
        end

        if later_passes.any? { |other| other.product.equal?(@pass.product) && other.method == @pass.method }
          Schedule::Words::RESTS[@pass.method]
        end
      end

      # @return [Array<Materials::Cautions::Caution>] reminders where the work can hurt someone
      def cautions = Surroundings.new(@plan, placement, moment).cautions

      # What it waited for, the latest first.
      # @return [Array<Ledger>]
      def waits
        placement.waits.select(&:reached_at).sort_by { |wait| -wait.reached_at }.map { |wait| ledger(wait, nil) }
      end

      # How long this coat takes to what comes next on it.
      # @return [Ledger, nil]
      def drying
        drying_to(
          @plan.of_piece(@pass.piece.id).find { |other| other.pass.needs.any? { |need| need.pass == @pass.index } }
        )
      end

      # How long this coat takes to one of the passes that wait for it; without one, to ready.
      # @param follower [Planning::Placement, nil]
      # @return [Ledger, nil]
      def drying_to(follower)
        return unless placement.milestones

        need = follower&.pass&.needs&.find { |candidate| candidate.pass == @pass.index }
        reached = if need
          @plan.drier.reached(placement, need.milestone, need.pair)
        else
          @plan.drier.reached(placement, @pass.piece.ready_at)
        end
        reached&.reached_at && ledger(reached, follower)
      end

      private

      def logged = @plan.shop.facts[@pass.key]

      # Which of the alike pieces.
      def pieces
        if @pass.range.one?
          "piece #{@pass.range.begin + 1}"
        else
          "pieces #{@pass.range.begin + 1} to #{@pass.range.end + 1}"
        end
      end

      def in_sections
        return unless @pass.sections

        area = @pass.area_m2 * @pass.count / @pass.sections
        "in #{@pass.sections} sections of #{area >= 1 ? area.round(1) : area.round(2)} m², each laid and wiped " \
        "before the next"
      end

      def queue = @plan.queues.fetch(@pass.piece.id)
      def later_passes = queue.drop(queue.index { |other| other.key == @pass.key }.to_i + 1)

      # Coats of round work go on by one mark, over all its steps.
      def mark
        queue.take_while { |other| other.key != @pass.key }.count do |other|
          other.step["pattern"] == "moving_start" && other.faces == @pass.faces
        end +
          1
      end

      def own_words
        return @pass.work.words(@pass.step, nil) if @pass.inserted

        coats = Schedule::Loops.coats_on(@pass.step, faces.first)
        round, at = Schedule::Loops.round_of(@pass.step, faces.first, coat)
        words = if coats > 1
          "#{@pass.step["name"] || @pass.work.name} #{at} of #{coats}"
        else
          Schedule::Words.step(@pass.step, @pass.product&.name)
        end
        round.positive? ? "#{words}, round #{round + 1}" : words
      end

      def laying = @pass.leaves_something? && @pass.product ? @laying ||= Mixing::Laying.of_pass(@pass) : nil

      def slack = @plan.slack[@pass.key]

      def snapshot
        @snapshot ||= @pass.faces
          .filter_map { |face| @plan.film(@pass.piece.id, face).at(@pass.key) }
          .max_by { |candidate| candidate.after.total_um }
      end

      # The face with the most film, or the first that is changed.
      def moment
        @moment ||= @pass.faces
          .filter_map { |face| @plan.film(@pass.piece.id, face).moment(@pass.key) }
          .max_by { |candidate| candidate.after.total_um }
      end

      def ledger(wait, follower)
        rows = rows(wait)
        Ledger.new(milestone: wait.name, words: Schedule::Words::MILESTONES.fetch(wait.name), from: wait.from,
                   reached_at: wait.reached_at, minutes: wait.reached_at - wait.from, rows: rows,
                   sheet: sheet(wait), source: wait.milestone&.source&.source ||
                     Reference.hands.source, estimate: wait.milestone.nil? ||
                       wait.milestone.source.estimate,
                   bound_by: wait.bound_by, follower: follower&.pass&.key, shop: wait.milestone &&
                     @plan.shop.beliefs.label(wait.pass.product, wait.phase), **air(wait))
      end

      def air(wait)
        climates = @plan.shop.line(wait.pass.dry_room).between(wait.from, wait.reached_at)
        {
          t_c: climates.map(&:t_c).minmax, rh: climates.map(&:rh).minmax,
          air: climates.map(&:air).tally.max_by(&:last).first
        }
      end

      def sheet(wait)
        product = wait.pass.product
        product ? "#{product.sheet_t_c} °C #{product.sheet_rh} %" : "20 °C 50 %"
      end

      # It never comes by the air alone: somebody has looked.
      def seen_rows(wait)
        sheet = wait.milestone.sheet_min.round
        [ [ "sheet", sheet ], [ "seen", wait.reached_at - wait.from - sheet ] ]
      end

      def causes(wait)
        causes = wait.milestone.ledger.map { |cause, minutes| [ cause.to_s, minutes.round ] }
        return causes if wait.school == 1.0 || wait.reckoned_at.nil?

        causes << [ "school", wait.reckoned_at - wait.from - wait.milestone.minutes.ceil ]
      end

      # Rows sum exactly to the minutes from laying to the milestone; what was seen at the bench, the floor and
      # rounding up to whole minutes go into a row of their own or the largest one.
      def rows(wait)
        return [ [ "sheet", wait.reached_at - wait.from ] ] if wait.milestone.nil?
        return seen_rows(wait) unless wait.milestone.minutes.finite?

        causes = causes(wait)
        rest = wait.reached_at - wait.from - causes.sum(&:last)
        return causes if rest.zero?

        return causes << [ wait.bound_by == "floor" ? "floor" : "seen", rest ] if rest.abs > causes.size

        causes.tap { |all| all.drop(1).max_by { |_, minutes| minutes.abs }[1] += rest }
      end
    end
  end
end
