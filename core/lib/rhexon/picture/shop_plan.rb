module Rhexon
  module Picture
    # All that the shop plan draws: pieces over one clock with their film growing, whose hands are where, what rooms
    # and racks hold, what closes next.
    # Instants are minutes since 1970 in UTC.
    class ShopPlan
      # @!attribute film [Array<Array(Integer, Float)>] minute and µm: up to its wet height with each coat, down as it
      #   dries
      Strand = Struct.new(:piece, :job, :due, :ready_at, :late_min, :hands_min, :marks, :film, :blocked,
                          keyword_init: true)
      Mark = Struct.new(:key, :piece, :words, :kind, :from, :to, :status, :window, :person, :inserted,
                        keyword_init: true)
      # When hands are on a piece.
      Flag = Struct.new(:key, :piece, :from, :to, :status, keyword_init: true)
      # @!attribute flags [Array<Flag>] on pieces in the picture
      # @!attribute elsewhere [Array<Array(Integer, Integer)>] on others
      # @!attribute free [Array<Array(Integer, Integer)>] open hours with nothing planned, from now on
      Lane = Struct.new(:person, :open, :flags, :elsewhere, :free, keyword_init: true)
      # @!attribute wet, dusty [Array<Array(Integer, Integer)>]
      # @!attribute lying [Array<Array(Integer, Integer)>] minute and pieces on the rack from then on
      Place = Struct.new(:room, :uses, :wet, :dusty, :lying, :rack_places, keyword_init: true)
      Clash = Struct.new(:piece, :sentence, keyword_init: true)
      Closing = Struct.new(:key, :piece, :words, :closes_at, :met, keyword_init: true)
      # Free stretches shorter than this are not worth telling.
      LEAST_FREE_MIN = 15
      NEXT_CLOSINGS = 6

      # Pieces in one picture at most.
      MOST = 40

      attr_reader :plan

      # @param plan [Planning::Plan]
      # @param part [Integer] which pieces are drawn: 1 the MOST that are ready first, 2 those after them
      def initialize(plan, part: 1)
        @plan = plan
        @part = part
      end

      def now = shop.now
      def zone = shop.zone.name
      def goal = shop.goal

      # The clock of the picture: the work of the pieces in it, of yesterday at the earliest.
      def first
        @first ||= [
          (now if @part == 1), *work.select { |placement| placement.hands_end > now - 1440 }.map(&:hands_start)
        ].compact.min || now
      end

      def last
        @last ||= [ first, now, *drawn.filter_map { |piece| plan.build.ready[piece.id] }, *work.map(&:hands_end) ].max
      end

      # When the last piece of all is ready.
      # @return [Integer, nil] nil: no piece has a date
      def ready_at = plan.build.ready.values.compact.max

      def open = shop.open_between(first, last)
      def sessions = plan.model.goal.sessions(plan.trial)

      def hands_min
        plan.placements
          .reject { |placement| placement.status == "done" }
          .sum { |placement| placement.hands.sum { |from, to| to - from } }
      end

      def bound = { "ready_at" => plan.bound.ready_at, "because" => plan.bound.because }

      # @return [Array<Strand>] of the pieces in the picture, first those that are ready first
      def strands = plan.once([ :strands, @part ]) { drawn.map { |piece| strand(piece) } }

      # @return [Strand] of one piece
      def strand_of(piece_id) = strand(plan.piece(piece_id))

      # @return [Array<Lane>]
      def lanes = plan.once([ :lanes, @part ]) { shop.people.map { |person| lane(person) } }

      # @return [Array<Place>]
      def places = plan.once([ :places, first, last ]) { shop.rooms.each_value.map { |room| place(room) } }

      # Windows that shut next, and whether the plan catches them.
      # @return [Array<Closing>]
      def closings
        plan.placements
          .select { |placement| placement.pass.film? }
          .filter_map { |placement| shuts(placement) }
          .min_by(NEXT_CLOSINGS) { |closes, placement| [ closes, placement.pass.key ] }
          .map { |closes, placement, follower| closing(closes, placement, follower) }
      end

      # What does not fit: pins that lapsed, work that cannot be placed.
      # @return [Array<Clash>]
      def clashes
        lapsed = plan.build.lapsed.map do |key|
          Clash.new(piece: key.split("/").first, sentence: "The pinned time of #{label_of(key)} cannot be kept.")
        end
        lapsed + absent +
          plan.build.blocked.map do |piece, block|
            Clash.new(piece: piece, sentence: "#{label_of(block.pass)} cannot be placed: #{block.why}.")
          end
      end

      # Work that is pinned to somebody who is not at the bench any more.
      def absent
        mine = plan.placements.select do |placement|
          placement.status == "planned" && shop.away.include?(shop.pins[placement.pass.key]&.person)
        end
        mine.map do |placement|
          Clash.new(
            piece: placement.pass.piece.id,
            sentence: "#{shop.pins.fetch(placement.pass.key).person} is not at the bench, so #{label(placement)} " \
                      "goes to whoever is free."
          )
        end
      end

      private

      def shop = plan.shop

      def drawn
        @drawn ||= shop.pieces.sort_by { |piece| [ plan.build.ready[piece.id] || Float::INFINITY, piece.id ] }
          .each_slice(MOST).to_a[@part - 1] || []
      end

      def in_picture?(piece) = (@in_picture ||= drawn.to_h { |one| [ one.id, true ] }).key?(piece.id)
      def work = @work ||= drawn.flat_map { |piece| plan.of_piece(piece.id) }

      # On the clock of the picture.
      def seen?(placement) = placement.hands_end > first && placement.hands_start < last

      def strand(piece)
        mine = plan.of_piece(piece.id)
        ready = plan.build.ready[piece.id]
        Strand.new(
          piece: piece.id, job: piece.job, due: piece.due, ready_at: ready,
          late_min: ready && piece.due ? [ ready - piece.due, 0 ].max : 0, hands_min: plan.hands_min(piece.id),
          marks: mine.select { |placement| placement.hands.any? } .map { |placement| mark(placement) },
          film: plan.once([ :growth, piece.id ]) { Planning::Growth.for(plan, piece.id) },
          blocked: plan.build.blocked.key?(piece.id)
        )
      end

      def mark(placement)
        pass = placement.pass
        Mark.new(key: pass.key, piece: pass.piece.id, words: label(placement), kind: pass.kind,
                 from: placement.hands_start, to: placement.hands_end, status: placement.status,
                 window: placement.window&.state || "none",
                 person: placement.person, inserted: pass.inserted)
      end

      def label(placement) = Row.new(plan, placement, 0).label

      def label_of(key)
        plan.model.passes.find { |pass| pass.key == key }.then do |pass|
          Schedule::Words.step(pass.step, pass.product&.name)
        end
      end

      def lane(person)
        mine = plan.placements.select do |placement|
          placement.person == person.id && seen?(placement)
        end
        open = person.calendar.between(first, last)
        here, others = mine.partition { |placement| in_picture?(placement.pass.piece) }
        Lane.new(
          person: person.id, open: open, flags: here.flat_map { |placement| flags(placement) },
          elsewhere: Planning::Calendar.joined(others.flat_map(&:hands)),
          free: free(open, mine.flat_map(&:hands).sort)
        )
      end

      def flags(placement)
        pass = placement.pass
        placement.hands.map do |from, to|
          Flag.new(key: pass.key, piece: pass.piece.id, from: from, to: to, status: placement.status)
        end
      end

      # @param open, taken [Array<Array(Integer, Integer)>] both in order
      def free(open, taken)
        at = 0
        open.flat_map do |from, to|
          at += 1 while taken[at] && taken[at].last <= from
          cursor = [ from, now ].max
          gaps = taken[at..].take_while { |start, _| start < to }
            .map { |start, finish| [ cursor, start ].tap { cursor = [ cursor, finish ].max } }
          [ *gaps, [ cursor, to ] ].select { |start, finish| finish - start >= LEAST_FREE_MIN }
        end
      end

      def place(room)
        films = plan.placements.select do |placement|
          placement.pass.film? && placement.pass.dry_room == room.id && seen?(placement)
        end
        wet = films.filter_map do |placement|
          (safe = plan.drier.reached_at(placement, "dust_safe")) && [ placement.work_start, safe ]
        end
        dusty = plan.placements
          .select { |placement| placement.pass.dust && placement.pass.room == room.id }
          .select { |placement| seen?(placement) }
          .map do |placement|
            [ placement.work_start, placement.hands_end + placement.pass.piece.house.fetch("dust_settles_min") ]
          end
        Place.new(room: room.id, uses: room.uses, wet: Planning::Calendar.joined(wet),
                  dusty: Planning::Calendar.joined(dusty), lying: lying(films), rack_places: room.rack_places)
      end

      # Pieces on the rack over time: from their coat until they can be handled or are taken up again.
      def lying(films)
        changes = films.flat_map do |placement|
          handled = plan.drier.reached_at(placement, "handle") || placement.work_end
          taken = plan.of_piece(placement.pass.piece.id).find { |other|
            other.hands.any? && other.hands_start >= placement.hands_end
          }&.hands_start
          [ [ placement.work_start, placement.pass.count ], [ [ handled, taken ].compact.min, -placement.pass.count ] ]
        end
        count = 0
        changes.group_by(&:first).sort.map { |minute, same| [ minute, count += same.sum(&:last) ] }
      end

      # When the window of a film shuts that is still to be met, and by what.
      # @return [Array(Integer, Planning::Placement, Planning::Placement), nil]
      def shuts(placement)
        follower = followers[placement.pass.index]
        return unless follower&.status == "planned"

        closes = plan.drier.closes_at(placement)
        [ closes, placement, follower ] if closes && closes > now
      end

      # @return [Hash{Integer=>Planning::Placement}] by index of the film below: what meets its window first
      def followers
        @followers ||= plan.placements.each_with_object({}) do |placement, met|
          met[placement.window.of.index] ||= placement if placement.window
        end
      end

      def closing(closes, placement, follower)
        Closing.new(key: placement.pass.key, piece: placement.pass.piece.id, words: label(placement),
                    closes_at: closes, met: follower.work_start <= closes)
      end
    end
  end
end
