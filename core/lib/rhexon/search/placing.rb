module Rhexon
  module Search
    # Finds the first place for one pass.
    # Reads +@m+ (Model), +@t+ (Trial), +@holds+, +@reserved+ and +@relaxed+ of the build it is part of.
    module Placing
      # Turns after which a place is given up, with a finding instead of an endless search.
      TURNS = 5000

      private

      def ceil(minute) = -(-minute / Lane::GRID) * Lane::GRID

      # @return [Spot]
      # @raise [Construct::Blocked]
      def spot(index)
        ready = ready(index)
        floor = floor(index)
        return idle(index, ready) if @m.kind[index] == :wait
        return pinned(index, floor) if @reserved.key?(index)

        from = ready && ready - @m.setup[index] > floor ? ready - @m.setup[index] : floor
        why = ready && ready - @m.setup[index] >= floor ? :milestone : :hands
        found = first_fit(index, from, why)
        return at_pin(index, floor, found) if @relaxed
        @m.scuff_min[index].positive? && scuff_first?(index, found.start + @m.setup[index]) ? with_scuff(index, from, found) : found
      end

      def floor(index)
        floor = @t.ends[@m.piece_of[index]]
        floor = @now if floor < @now
        floor = [ floor, next_day(index) ].max if @m.passes[index].after_day
        hold = @holds[index]
        hold && hold > floor ? hold : floor
      end

      # So many coats a day: not on the day of the one that many coats before.
      def next_day(index) = (start = @t.start[@m.passes[index].after_day]) ? @m.shop.zone.end_of_day(start) : @now

      # When the last of what it waits for is reached.
      # @return [Integer, nil] nil: it waits for nothing
      def ready(index)
        latest = nil
        @m.waits[index].each do |wait|
          reached = wait.fixed || open_at(wait.lower, wait.opening)
          raise Construct::Blocked.new(:milestone, index) if reached.nil? || reached > @m.horizon

          latest = reached if latest.nil? || reached > latest
        end
        latest
      end

      def open_at(lower, opening) = opening.at(@t.work_end[lower], @relaxed ? 0 : @t.early[lower])

      # A wait takes no hands: it runs from the end of what was before it.
      def idle(index, ready)
        start = @t.ends[@m.piece_of[index]]
        finish = start
        finish = ready if ready && ready > finish
        minutes = @m.passes[index].minutes
        finish = start + minutes if minutes && start + minutes > finish
        Spot.new(start, nil, [ [ start, finish ] ], nil, :milestone)
      end

      # A pin may come before its milestones, and then no bound may be later than it.
      def at_pin(index, floor, found)
        start = @m.pinned[index]&.start
        start && start >= floor && start < found.start ? Spot.new(start, found.who, nil, nil, :pin, nil) : found
      end

      def pinned(index, floor)
        start = @m.pinned[index].start
        throw :lapsed, Construct::Lapse.new(index) if start < floor
        Spot.new(start, @reserved[index].who, nil, nil, :pin, @reserved[index].tool)
      end

      # @param from [Integer]
      # @param why [Symbol] what holds when nothing else puts it off
      def first_fit(index, from, why)
        return paused(index, from, why) if @m.pauses[index]

        length = @m.hands[index]
        TURNS.times do
          start, who = hands_from(index, from, length)
          raise Construct::Blocked.new(:hours, index) unless start

          why, @asked = :late, from if start >= from + Lane::GRID
          later, reason, tool = clear_from(index, start, start + length)
          return Spot.new(start, who, nil, nil, why, tool) if later == start

          why = reason
          from = later
        end
        raise Construct::Blocked.new(:search, index)
      end

      # The first of those who may do it.
      # @return [Array(Integer, Integer), nil] start and person
      def hands_from(index, from, length)
        crew = @m.crew[index]
        return [ @t.lanes[crew[0]].slot(from, length), crew[0] ] if crew.size == 1

        best = who = nil
        crew.each do |person|
          start = @t.lanes[person].slot(from, length)
          best, who = start, person if start && (best.nil? || start < best)
        end
        best && [ best, who ]
      end

      # Work that may pause at closing between alike pieces, and inside a large face.
      def paused(index, from, why)
        TURNS.times do
          stretches, who = stretches_from(index, from)
          raise Construct::Blocked.new(:hours, index) unless stretches

          why, @asked = :late, from if stretches[0][0] >= from + Lane::GRID
          later, reason, tool = clear_from(index, stretches[0][0], stretches[-1][1])
          return Spot.new(stretches[0][0], who, (stretches if stretches.size > 1), nil, why, tool) if later == stretches[0][0]

          why = reason
          from = later
        end
        raise Construct::Blocked.new(:search, index)
      end

      def stretches_from(index, from)
        crew = @m.crew[index]
        return (found = stretches_of(index, crew[0], from)) && [ found, crew[0] ] if crew.size == 1

        crew.filter_map { |person| (found = stretches_of(index, person, from)) && [ found, person ] }.min_by { |found, person| [ found[-1][1], person ] }
      end

      def stretches_of(index, person, from)
        return @t.lanes[person].stretches(from, @m.each_min[index], @m.count[index]) if @m.count[index] > 1 || @m.each_min[index] >= Lane::LARGE

        start = @t.lanes[person].slot(from, @m.hands[index])
        start && [ [ start, start + @m.hands[index] ] ]
      end

      # The first start at which room, rack and tools are free: the start itself when they are.
      # @return [Array(Integer, Symbol, Integer)] start, what put it off, tool
      def clear_from(index, start, finish)
        return [ start, nil, nil ] if @relaxed

        here = @t.floors[@m.room[index]]
        if here.lane && (free = here.lane.slot(start, finish - start)) > start
          return [ free, :room, nil ]
        end
        work = start + @m.setup[index]
        if @m.dust[index] && (dry = here.wet.clash(work, finish + @m.settles[index]))
          return [ ceil(dry - @m.setup[index]), :dust, nil ]
        end
        later, why = wet_from(index, here, work, finish) if @m.wet[index]
        return [ later, why, nil ] if later
        return [ start, nil, nil ] if @m.tools[index].empty?

        free, tool = @m.tools[index].map { |lane| [ @t.tool_lanes[lane].slot(start, finish - start), lane ] }.min
        [ free, :tool, tool ]
      end

      # A film keeps clear of dust until it is dust-safe, and lies on the rack until it can be handled.
      def wet_from(index, here, work, finish)
        done = finish - @m.cleanup[index]
        early = early(index, work)
        there = @t.floors[@m.dry_room[index]]
        if (safe = @m.dust_safe[index]&.at(done, early))
          clear = there.dusty.clash(work, safe) || (there.equal?(here) ? nil : here.dusty.clash(work, done))
          return [ ceil(clear - @m.setup[index]), :dust ] if clear
        end
        return unless there.rack
        raise Construct::Blocked.new(:rack, index) unless there.rack.holds?(@m.count[index])

        full = there.rack.full_until(work, @m.handle[index]&.at(done, early) || done, @m.count[index])
        full && [ ceil(full - @m.setup[index]), :rack ]
      end

      # Coats of its stack that were laid in the day before.
      def early(index, work)
        return 0 if @relaxed || @m.mates[index].empty?

        @m.mates[index].count { |mate| (done = @t.work_end[mate]) && work - done < Planning::Placement::CROWDS_MIN }
      end
    end
  end
end
