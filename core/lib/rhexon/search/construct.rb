module Rhexon
  module Search
    # Builds a plan pass by pass: each goes to the first place where what it waits for is reached and hands, room and
    # tools are free.
    # Passes of a piece keep their order; which piece comes next is given, or found by who can start first.
    class Construct
      # @param model [Model]
      # @param relaxed [Boolean] for the bound: no scuffs, coats do not slow each other, hands and rooms serve any
      #   number at once
      def initialize(model, relaxed: false)
        @model = model
        @relaxed = relaxed
      end

      # @param order [Array<Integer>] pieces, each as often as it has passes to place
      # @param holds [Holds]
      # @return [PartialSchedule]
      def run(order, holds = Holds::NONE)
        build(holds) do
          order.each do |piece|
            index = @next[piece] or next
            @skip[piece].positive? ? @skip[piece] -= 1 : advance(piece, index)
          end
        end.tap { |trial| trial.order = order }
      end

      # Again and again the piece whose next pass can start first gets it.
      # @param tails [Array<Integer>] minutes to ready, by pass: longer ones go first as the weight says
      # @return [PartialSchedule]
      def dispatch(holds = Holds::NONE, weight: 0.0, tails: nil, noise: nil)
        order = []
        build(holds) { first_come(order, weight, tails, noise) }.tap { |trial| trial.order = order }
      end

      # Every piece as if it were alone: in a relaxed build nothing is taken from the others.
      # @return [PartialSchedule]
      def each_alone
        build(Holds::NONE) { @model.pieces.each_index { |piece| advance(piece, @next[piece]) while @next[piece] } }
      end

      # The plan that is kept: what can stand where it stood is put there, in the order of its starts; the rest of its
      # piece goes first come first served into what is left.
      # @param kept [Kept]
      # @param rounds [Array<Array<Integer>>] pieces in their turns, those of a round before those of the next
      # @param late [Boolean] what should have begun goes before what stands
      # @return [PartialSchedule]
      def keep(kept, rounds, late: false)
        build(kept, look_back: nil) do
          following = @next.dup
          @next.map! { nil }
          rounds.each do |turns|
            turns.uniq.each { |piece| @next[piece] = following[piece] }
            stay(kept, turns, late)
            first_come([], 0.0, nil, nil)
          end
        end.tap { |trial| trial.order = rounds.flatten }
      end

      # One piece is placed anew between the others, which are written down as they stand.
      # @param piece [Integer]
      # @param standing [PartialSchedule] of a shop that differs in this piece only
      # @return [PartialSchedule]
      def around(piece, standing)
        others = Standing.new(@model, standing, piece)
        build(Holds::NONE, others.lapsed, look_back: nil) do
          others.each { |index, spot| @booking.settle(index, spot) }
          others.blocked.each { |block| @partial.blocked << block }
          advance(piece, @next[piece]) while @next[piece]
        end
      end

      # The pieces of another build stand as in it; all others take what is left, first come first served.
      # @param standing [PartialSchedule] of a shop with fewer pieces
      # @return [PartialSchedule]
      def beside(standing)
        others = Standing.new(@model, standing)
        placed = standing.model.pieces.map(&:id)
        order = []
        trial = build(Holds::NONE, others.lapsed) do
          others.each { |index, spot| @booking.settle(index, spot) }
          others.blocked.each { |block| @partial.blocked << block }
          @model.pieces.each_index { |piece| @next[piece] = nil if placed.include?(@model.pieces[piece].id) }
          first_come(order, 0.0, nil, nil)
        end
        trial.tap { trial.order = order }
      end

      private

      # A pin that cannot be kept is given up and the build begun again.
      def build(holds, lapsed = [], look_back: @model.look_back, &block)
        loop do
          afresh(holds, lapsed, look_back)
          given_up = catch(:lapsed, &block)
          break unless given_up.is_a?(SlotFinder::Lapse)

          lapsed |= [ given_up.index ]
        end
        @model.goal.value(@partial)
        @partial
      end

      def afresh(holds, lapsed, look_back)
        @partial = PartialSchedule.new(@model, holds, relaxed: @relaxed, look_back: look_back)
        @slots = SlotFinder.new(@partial)
        @booking = ResourceBooking.new(@partial)
        @scuffs = ScuffPlacement.new(@partial, @slots)
        @hard_windows = HardWindowPlacement.new(@partial, @slots, @scuffs, @booking)
        @next = @model.pieces.each_index.map { |piece| following(@model.first[piece] - 1, piece) }
        @skip = Array.new(@model.pieces.size, 0)
        lapsed.each { |index| @partial.lapsed << index }
        PinReservation.new(@partial).reserve(lapsed) unless @relaxed
      end

      # Until one of a piece cannot stand where it stood: it and the rest of the piece are left open.
      def stay(kept, turns, late)
        left = {}
        turns.each do |piece|
          next if left[piece] || (index = @next[piece]).nil?
          next @skip[piece] -= 1 if @skip[piece].positive?

          left[piece] = true unless stays?(kept, piece, index, late)
        end
        @skip.map! { 0 }
      end

      # @return [Boolean] whether the pass, or its block, was placed
      def stays?(kept, piece, index, late)
        block = @model.blocks[index] if together?(@model.blocks[index])
        return stays_alone?(kept, piece, index, late) unless block
        return block.sitting && apart?(kept, piece, index, late) unless @hard_windows.stay(block, kept)

        @skip[piece] += block.last - index
        @next[piece] = following(block.last, piece)
        true
      rescue Blocked
        @partial.forget(index..(block&.last || index))
        false
      end

      # A sitting that could not be kept stands coat by coat, and is not looked for again.
      def apart?(kept, piece, index, late)
        @model.out_of_reach[index] = true
        stays = stays_alone?(kept, piece, index, late)
      ensure
        @model.out_of_reach.delete(index) unless stays
      end

      def stays_alone?(kept, piece, index, late)
        spot = slot(index)
        return false unless spot.who.nil? || kept.there?(index, spot) || (late && kept.late?(index))

        @booking.settle(index, spot)
        @next[piece] = following(index, piece)
        true
      end

      # @return [Integer, nil] the next pass of a piece that is not in the log
      def following(index, piece)
        index += 1
        index += 1 while index <= @model.last[piece] && @model.logged.placed[index]
        index <= @model.last[piece] ? index : nil
      end

      def advance(piece, index)
        together = together?(@model.blocks[index])
        if together
          @hard_windows.place(@model.blocks[index])
          @skip[piece] += @model.blocks[index].last - index
          @next[piece] = following(@model.blocks[index].last, piece)
        else
          @booking.settle(index, slot(index))
          @next[piece] = following(index, piece)
        end
      rescue Blocked => blocked
        # In no stretch of hours: from now on its coats are placed one by one.
        return advance(piece, index) if together && @model.blocks[index].sitting && @model.out_of_reach[index]

        @partial.blocked << { constraint: blocked.constraint.to_s, index: blocked.index }
        @partial.forget(index..@model.last[piece])
        @next[piece] = nil
      end

      def together?(block)
        block && !(block.sitting && (@relaxed || @model.out_of_reach[block.first]))
      end

      # The first place for a pass, with the scuff that it needs there.
      # @return [CandidateSlot]
      def slot(index)
        slot = @slots.slot(index)
        return slot if @relaxed || slot.who.nil? || @partial.reserved.key?(index)

        scuffed = @model.times.scuff_min[index].positive? &&
          @scuffs.scuff_first?(index, slot.start + @model.times.setup[index])
        scuffed ? @scuffs.with_scuff(index, @slots.earliest(index), slot) : slot
      end

      # A proposal only gets later while hands fill up, so only the first one is reckoned again.
      def first_come(order, weight, tails, noise)
        order.clear
        ranks = @next.map { |index| index && propose(index, weight, tails, noise) }
        fresh = Array.new(ranks.size, 0)
        settled = 0
        while (piece = lowest(ranks))
          if fresh[piece] < settled && !@model.large?
            fresh[piece] = settled
            value = propose(@next[piece], weight, tails, noise)
            next ranks[piece] = value if value > ranks[piece]
          end
          settled += 1
          take_turn(piece, order)
          fresh[piece] = settled
          ranks[piece] = @next[piece] && propose(@next[piece], weight, tails, noise)
        end
      end

      def lowest(ranks)
        best = nil
        index = 0
        while index < ranks.size
          best = index if ranks[index] && (best.nil? || ranks[index] < ranks[best])
          index += 1
        end
        best
      end

      def take_turn(piece, order)
        index = @next[piece]
        advance(piece, index)
        @skip[piece] = 0
        index.upto((@next[piece] || @model.last[piece] + 1) - 1) do |placed|
          order << piece unless @model.logged.placed[placed]
        end
      end

      # Where it would start, pulled forward by what comes after it.
      def propose(index, weight, tails, noise)
        return roughly(index, weight, tails) if @model.large?

        start = @model.kind[index] == :wait ? @partial.ends[@model.piece_of[index]] : slot(index).start
        start -= (weight * tails[index]).round if tails && tails[index]
        start += noise[index] if noise
        in_turn(index, start)
      rescue Blocked
        @partial.now + @model.hurried
      end

      # When it could start if hands and rooms were free.
      def roughly(index, weight, tails)
        start = if @model.kind[index] == :wait
          @partial.ends[@model.piece_of[index]]
        else
          @slots.earliest(index)
        end
        start -= (weight * tails[index]).round if tails && tails[index]
        in_turn(index, start)
      rescue Blocked
        @partial.now + @model.hurried
      end

      # What cannot wait comes first.
      def in_turn(index, start)
        start + (hurried?(index) ? @model.hurried : @model.turn[@model.piece_of[index]])
      end

      # A hard window or a sitting that stands open by the log cannot wait for others.
      def hurried?(index)
        pass = @model.passes[index]
        lower = pass.hard&.lower || pass.sitting
        lower && @model.logged.placed[lower]
      end
    end
  end
end
