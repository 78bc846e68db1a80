module Rhexon
  module Search
    # Finds the first place for one pass in what a build has left free. Takes nothing.
    class SlotFinder < BuildPart
      # Turns after which a place is given up, with a finding instead of an endless search.
      TURNS = 5000

      # A pin that cannot be kept in this build.
      # @!attribute index [Integer] of the pass
      Lapse = Struct.new(:index)

      # Without a scuff before it.
      # @param index [Integer] of the pass
      # @return [CandidateSlot]
      # @raise [Blocked]
      # @throw :lapsed [Lapse] where its pin is before the piece is free
      def slot(index)
        ready = ready(index)
        free = free_from(index)
        return idle(index, ready) if @model.kind[index] == :wait
        return pinned(index, free) if @reserved.key?(index)

        begun = ready && ready - @times.setup[index]
        slot = first_fit(index, begun && begun > free ? begun : free, begun && begun >= free ? :milestone : :hands)
        @relaxed ? at_pin(index, free, slot) : slot
      end

      # @return [Integer] minute from which its hands may start: free, not held, and what it waits for is reached
      # @raise [Blocked]
      def earliest(index)
        ready = ready(index)
        [ free_from(index), ready && ready - @times.setup[index] ].compact.max
      end

      # @return [Integer] minute from which its piece is free and it is not held
      def free_from(index)
        free = @partial.ends[@model.piece_of[index]]
        free = @now if free < @now
        free = [ free, next_day(index) ].max if @model.passes[index].after_day
        hold = @holds[index]
        hold && hold > free ? hold : free
      end

      # When the last of what it waits for is reached.
      # @return [Integer, nil] nil: it waits for nothing
      def ready(index)
        latest = nil
        @drying.waits[index].each do |wait|
          reached = wait.fixed || @partial.open_at(wait.lower, wait.opening)
          raise Blocked.new(:milestone, index) if reached.nil? || reached > @model.horizon

          latest = reached if latest.nil? || reached > latest
        end
        latest
      end

      # So many coats a day: not on the day of the one that many coats before.
      def next_day(index)
        day = @model.passes[index].after_day or return @now
        (start = @partial.start[day]) ? @model.shop.zone.end_of_day(start) : @now
      end

      # @param from [Integer]
      # @param why [Symbol] what holds when nothing else puts it off
      # @param asked [Integer] from which it could have begun
      # @return [CandidateSlot]
      # @raise [Blocked]
      def first_fit(index, from, why, asked = from)
        return paused(index, from, why, asked) if @times.pauses[index]

        length = @times.hands[index]
        TURNS.times do
          start, who = hands_from(index, from, length)
          raise Blocked.new(:hours, index) unless start

          why, asked = :late, from if start >= from + Planning::Lane::GRID
          later, reason, tool = clear_from(index, start, start + length)
          return CandidateSlot.new(start, who, nil, nil, why, tool, asked) if later == start

          why = reason
          from = later
        end
        raise Blocked.new(:search, index)
      end

      # The first start at which room, rack and tools are free: the start itself when they are.
      # @return [Array(Integer, Symbol, Integer)] start, what put it off, tool
      def clear_from(index, start, finish)
        return [ start, nil, nil ] if @relaxed

        here = @partial.rooms[@places.room[index]]
        if here.lane && (free = here.lane.slot(start, finish - start)) > start
          return [ free, :room, nil ]
        end
        setup = @times.setup[index]
        work = start + setup
        if @places.dust[index] && (dry = here.wet.clash(work, finish + @times.settles[index]))
          return [ Planning::Calendar.ceil(dry - setup), :dust, nil ]
        end
        later, why = wet_from(index, here, work, finish) if @places.wet[index]
        return [ later, why, nil ] if later

        tools = @places.tools[index]
        tools.empty? ? [ start, nil, nil ] : tool_from(tools, start, finish - start)
      end

      # A wait takes no hands: it runs from the end of what was before it.
      def idle(index, ready, start = @partial.ends[@model.piece_of[index]])
        finish = start
        finish = ready if ready && ready > finish
        minutes = @model.passes[index].minutes
        finish = start + minutes if minutes && start + minutes > finish
        CandidateSlot.new(start, nil, [ [ start, finish ] ], nil, :milestone)
      end

      def pinned(index, free)
        start = @model.pinned[index].start
        throw :lapsed, Lapse.new(index) if start < free
        CandidateSlot.new(start, @reserved[index].who, nil, nil, :pin, @reserved[index].tool)
      end

      private

      # A pin may come before its milestones, and then no bound may be later than it.
      def at_pin(index, free, slot)
        start = @model.pinned[index]&.start
        start && start >= free && start < slot.start ? CandidateSlot.new(start, slot.who, nil, nil, :pin, nil) : slot
      end

      # The first of those who may do it; of several who could begin as soon, whoever was to do it.
      # @return [Array(Integer, Integer), nil] start and person
      def hands_from(index, from, length)
        crew = @crews.crew[index]
        return [ @partial.lanes[crew[0]].slot(from, length), crew[0] ] if crew.size == 1

        best = who = nil
        first = @holds.person(index)
        crew.each do |person|
          start = @partial.lanes[person].slot(from, length) or next
          best, who = start, person if best.nil? || start < best || (start == best && person == first)
        end
        best && [ best, who ]
      end

      # Work that may pause at closing between alike pieces, and inside a large face.
      def paused(index, from, why, asked)
        TURNS.times do
          stretches, who = stretches_from(index, from)
          raise Blocked.new(:hours, index) unless stretches

          why, asked = :late, from if stretches[0][0] >= from + Planning::Lane::GRID
          later, reason, tool = clear_from(index, stretches[0][0], stretches[-1][1])
          if later == stretches[0][0]
            return CandidateSlot.new(stretches[0][0], who, (stretches if stretches.size > 1), nil, why, tool, asked)
          end

          why = reason
          from = later
        end
        raise Blocked.new(:search, index)
      end

      def stretches_from(index, from)
        kept = @holds.stretches(index)
        return [ kept, @holds.person(index) ] if kept && kept[0][0] >= from && free_still?(index, kept)

        crew = @crews.crew[index]
        return (stretches = stretches_of(index, crew[0], from)) && [ stretches, crew[0] ] if crew.size == 1

        crew.filter_map { |person| (stretches = stretches_of(index, person, from)) && [ stretches, person ] }
          .min_by { |stretches, person| [ stretches[-1][1], person == @holds.person(index) ? -1 : person ] }
      end

      # Work that pauses goes on where it would have, if it takes as long and those hands are free.
      def free_still?(index, kept)
        person = @holds.person(index)
        @crews.crew[index].include?(person) && kept.sum { |from, to| to - from } == @times.hands[index] &&
          kept.all? { |from, to| @partial.lanes[person].free?(from, to) }
      end

      def stretches_of(index, person, from)
        if @times.count[index] > 1 || @times.each_min[index] >= Planning::Lane::LARGE
          return @partial.lanes[person].stretches(from, @times.each_min[index], @times.count[index],
                                                  @times.setup[index])
        end

        start = @partial.lanes[person].slot(from, @times.hands[index])
        start && [ [ start, start + @times.hands[index] ] ]
      end

      # A film keeps clear of dust until it is dust-safe, and lies on the rack until it can be handled.
      def wet_from(index, here, work, finish)
        done = finish - @times.cleanup[index]
        early = @partial.earlier_coats(index, work)
        setup = @times.setup[index]
        there = @partial.rooms[@places.dry_room[index]]
        if (safe = @drying.dust_safe[index]&.at(done, early))
          clear = there.dusty.clash(work, safe) || (there.equal?(here) ? nil : here.dusty.clash(work, done))
          return [ Planning::Calendar.ceil(clear - setup), :dust ] if clear
        end
        return unless there.rack

        full = rack_full_until(index, there.rack, work, @drying.handle[index]&.at(done, early) || done)
        full && [ Planning::Calendar.ceil(full - setup), :rack ]
      end

      def rack_full_until(index, rack, work, handled)
        count = @times.count[index]
        raise Blocked.new(:rack, index) unless rack.holds?(count)

        rack.full_until(work, handled, count)
      end

      # @return [Array(Integer, Symbol, Integer)]
      def tool_from(tools, start, length)
        free, tool = tools.map { |lane| [ @partial.tool_lanes[lane].slot(start, length), lane ] }.min
        [ free, :tool, tool ]
      end
    end
  end
end
