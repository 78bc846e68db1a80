module Rhexon
  module Picture
    # What the bench shows: over all pieces, what is in hand, what hands may do now and next, and what is drying.
    class Bench
      # A coat that dries: its strip, what it asks next, the film on it.
      Slab = Struct.new(:row, :piece, :strip, :film_um, :opens_at, :closes_at, :state, :milestone, :next_row,
                        :proof, keyword_init: true)
      # Milestones that the film's own test proves; the others are felt.
      PROVED = %w[recoat_opens sand rub_out full_cure].freeze
      LATELY_MIN = 3 * 1440
      # So many slabs are shown, each with what may be started on it.
      STARTABLE = 10
      # A page that nobody renews for so long still says what stands against a coat that has opened meanwhile.
      SOON_MIN = 120
      HORIZON_MIN = 400 * 1440

      attr_reader :plan

      # @param plan [Planning::Plan]
      # @param hands [String, nil] whose bench: what their hands are on and what is their own; nil: everybody's
      # @param only_own [Boolean] of these hands only what is their own
      # @param chosen [String, nil] key of a pass that is to be taken up before its turn
      def initialize(plan, hands: nil, only_own: false, chosen: nil)
        @plan = plan
        @hands = hands
        @only_own = only_own
        @chosen = chosen
      end

      def now = plan.shop.now
      def zone = plan.shop.zone.name
      def people = plan.shop.people.map(&:id) & (@hands ? [ @hands ] : plan.shop.people.map(&:id))

      # @return [Array<Row>]
      def running = own.select { |row| row.status == "running" && row.placement.hands.any? }

      # Passes not begun, those that may start now or first at the head.
      # @return [Array<Row>]
      def upcoming = planned.min_by(8) { |row| [ row.hands_start, row.key ] }

      # @return [Row, nil] work that is to be taken up before its turn, where it is not begun
      def chosen = @chosen && planned.find { |row| row.key == @chosen }

      # @return [Array<Row>] what the day's hands did and will do
      def today
        own.select { |row| row.placement.hands.any? { |from, _| from >= day_start && from < day_end } }
      end

      def open_today = plan.shop.open_between(day_start, day_end)

      # @return [Array<Slab>] soonest call on the hands first
      def drying
        @drying ||= plan.shop.pieces.flat_map { |piece|
          slabs(piece)
        }.select { |slab| mine?(slab.next_row || slab.row) }
                        .sort_by { |slab| [ call(slab), slab.row.key ] }
      end

      # What stands against work that may be taken up soon; in a large shop of the first alone.
      # @return [Hash{String=>Array<Checks::Finding>}] by pass key
      def against
        heads = [ *running.first(1), *upcoming.first(1), *chosen ]
        heads += drying.first(STARTABLE).select { |slab| soon?(slab) }.filter_map(&:next_row) unless plan.model.large?
        heads.uniq(&:key).to_h { |row| [ row.key, Checks::Catalogue.against(plan, row.placement.pass) ] }
          .reject { |_, findings| findings.empty? }
      end

      # @return [Array<String>] ids of the pieces that hands are on, or whose film dries
      def pieces
        [ *running, *upcoming, *today, *chosen, *drying.map(&:row) ].map { |row| row.placement.pass.piece.id }.uniq
      end

      # @return [Array<Slab>] of one piece
      def slabs_of(piece_id) = slabs(plan.piece(piece_id), Sheet.new(plan, piece_id).rows)

      # @return [Integer] minutes of hands planned for the rest of today
      def left_today_min
        planned.select { |row| row.hands_start < day_end }
          .sum { |row| row.hands.sum { |from, to| [ [ to, day_end ].min - [ from, now ].max, 0 ].max } }
      end

      def rows = plan.once([ :bench_rows ]) { plan.shop.pieces.flat_map { |piece| Sheet.new(plan, piece.id).rows } }

      private

      def soon?(slab) = slab.state != "too_soon" || (slab.opens_at && slab.opens_at <= now + SOON_MIN)

      def own = @hands ? rows.select { |row| mine?(row) } : rows

      # Work of these hands, or on what is theirs.
      def mine?(row)
        return true if @hands.nil? || row.placement.pass.piece.by == @hands

        !@only_own && row.person == @hands
      end

      def rows_of(piece)
        plan.once([ :bench_rows_by_piece ]) { rows.group_by { |row| row.placement.pass.piece.id } }.fetch(piece.id, [])
      end

      def planned
        plan.once([ :bench_planned, @hands, @only_own ]) do
          own.select { |row| row.status == "planned" && row.placement.hands.any? }
        end
      end

      def day_start = @day_start ||= plan.shop.zone.at(plan.shop.zone.date(now), "00:00")
      def day_end = @day_end ||= plan.shop.zone.at(plan.shop.zone.date(now) + 1, "00:00")

      # The last coat on each set of faces, until its next work is begun or it has reached what it dries for.
      def slabs(piece, mine = rows_of(piece))
        laid = mine.select do |row|
          row.placement.pass.leaves_something? && row.status == "done" &&
            (covered(row, mine).nil? || covered(row, mine).status == "planned")
        end
        laid.reject { |row| finished?(row, mine) }.map { |row| slab(row, piece, mine) }
      end

      def covered(row, mine)
        mine.drop(mine.index(row) + 1).find do |later|
          later.placement.pass.leaves_something? && (later.faces & row.faces).any?
        end
      end

      def finished?(row, mine)
        following(row, mine).nil? &&
          (reached = plan.drier.reached(row.placement, row.placement.pass.piece.ready_at)&.reached_at) &&
          reached < now - LATELY_MIN
      end

      def following(row, mine)
        mine.find do |other|
          other.status == "planned" && !other.inserted &&
            other.placement.pass.needs.any? { |need| need.pass == row.placement.pass.index }
        end ||
          mine.drop(mine.index(row) + 1).find { |other| other.status == "planned" && (other.faces & row.faces).any? }
      end

      def slab(row, piece, mine)
        follower = following(row, mine)
        waiting = follower && follower.placement.pass.needs.any? { |need| need.pass == row.placement.pass.index }
        drying = waiting ? row.drying_to(follower.placement) : row.drying
        scuffed = scuffed_until(row.placement, follower)
        closes = scuffed || closes(row.placement, follower)
        Slab.new(row: row, piece: piece, strip: Strip.for(row.placement, plan), film_um: row.film_um,
                 opens_at: drying&.reached_at, closes_at: closes,
                 state: state(drying, closes,
                              scuffed), milestone: drying&.milestone, next_row: first_of(follower, mine),
                 proof: proof(row.placement.pass, drying&.milestone))
      end

      # @return [Hash, nil] "film" and "glass": the question that each test answers
      def proof(pass, milestone)
        return unless PROVED.include?(milestone)

        asks = Reference.drying.proof
        { "film" => asks[pass.product.mechanism], "glass" => (asks["glass"] if pass.film?) }.compact
      end

      # An inserted scuff comes before the coat it serves.
      def first_of(follower, mine)
        follower &&
          (mine.find { |other|
            other.kind == "scuff" && other.status == "planned" &&
              Planning::Scuff.served(other.placement.pass) == follower.key
          } ||
            follower)
      end

      def closes(placement, follower)
        follower&.placement&.pass&.leaves_something? ? plan.drier.closes_at(placement) : nil
      end

      # @return [Integer, nil] until when the last abrasion that is done keeps the film open for the coat to come
      def scuffed_until(placement, follower)
        return unless follower

        by_step = (follower.placement.pass.abraded_by[placement.pass.index] || [])
          .flatten.uniq
          .map { |index| plan.build.by_index[index] }
        done = [ *by_step, *plan.build.scuffs_before(follower.key) ]
          .compact
          .select { |other| other.status == "done" }
          .map(&:hands_end).max
        done && done + placement.pass.piece.house.fetch("scuff_valid_min")
      end

      def state(drying, closes, scuffed)
        return "open" unless drying
        return "too_soon" if now < drying.reached_at
        return "shut" if closes && now > closes

        scuffed ? "scuffed" : "open"
      end

      # When it calls on the hands: a film that waits for them without hurry comes after what opens or shuts within a
      # day.
      def call(slab)
        return slab.opens_at || now + HORIZON_MIN if slab.state == "too_soon"
        return now + HORIZON_MIN unless slab.next_row

        %w[open scuffed].include?(slab.state) && slab.closes_at ? [ slab.closes_at, now + 1440 ].min : now + 1440
      end
    end
  end
end
