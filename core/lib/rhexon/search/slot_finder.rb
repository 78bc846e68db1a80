module Rhexon
  module Search
    # Finds the first place for one pass.
    # Reads +@model+ (Model), +@partial+ (PartialSchedule), +@holds+, +@reserved+ and +@relaxed+ of the build it is
    # part of.
    module SlotFinder
      # Turns after which a place is given up, with a finding instead of an endless search.
      TURNS = 5000

      private

      def ceil(minute) = -(-minute / Planning::Lane::GRID) * Planning::Lane::GRID

      # @return [CandidateSlot]
      # @raise [Construct::Blocked]
      def spot(index)
        ready = ready(index)
        floor = floor(index)
        return idle(index, ready) if @model.kind[index] == :wait
        return pinned(index, floor) if @reserved.key?(index)

        from = ready && ready - @model.setup[index] > floor ? ready - @model.setup[index] : floor
        why = ready && ready - @model.setup[index] >= floor ? :milestone : :hands
        slot = first_fit(index, from, why)
        return at_pin(index, floor, slot) if @relaxed
        if @model.scuff_min[index].positive? && scuff_first?(index, slot.start + @model.setup[index])
          with_scuff(index, from, slot)
        else
          slot
        end
      end

      def floor(index)
        floor = @partial.ends[@model.piece_of[index]]
        floor = @now if floor < @now
        floor = [ floor, next_day(index) ].max if @model.passes[index].after_day
        hold = @holds[index]
        hold && hold > floor ? hold : floor
      end

      # So many coats a day: not on the day of the one that many coats before.
      def next_day(index)
        (start = @partial.start[@model.passes[index].after_day]) ? @model.shop.zone.end_of_day(start) : @now
      end

      # When the last of what it waits for is reached.
      # @return [Integer, nil] nil: it waits for nothing
      def ready(index)
        latest = nil
        @model.waits[index].each do |wait|
          reached = wait.fixed || open_at(wait.lower, wait.opening)
          raise Construct::Blocked.new(:milestone, index) if reached.nil? || reached > @model.horizon

          latest = reached if latest.nil? || reached > latest
        end
        latest
      end

      def open_at(lower, opening) = opening.at(@partial.work_end[lower], @relaxed ? 0 : @partial.early[lower])

      # A wait takes no hands: it runs from the end of what was before it.
      def idle(index, ready)
        start = @partial.ends[@model.piece_of[index]]
        finish = start
        finish = ready if ready && ready > finish
        minutes = @model.passes[index].minutes
        finish = start + minutes if minutes && start + minutes > finish
        CandidateSlot.new(start, nil, [ [ start, finish ] ], nil, :milestone)
      end

      # A pin may come before its milestones, and then no bound may be later than it.
      def at_pin(index, floor, slot)
        start = @model.pinned[index]&.start
        start && start >= floor && start < slot.start ? CandidateSlot.new(start, slot.who, nil, nil, :pin, nil) : slot
      end

      def pinned(index, floor)
        start = @model.pinned[index].start
        throw :lapsed, Construct::Lapse.new(index) if start < floor
        CandidateSlot.new(start, @reserved[index].who, nil, nil, :pin, @reserved[index].tool)
      end

      # @param from [Integer]
      # @param why [Symbol] what holds when nothing else puts it off
      def first_fit(index, from, why)
        return paused(index, from, why) if @model.pauses[index]

        length = @model.hands[index]
        TURNS.times do
          start, who = hands_from(index, from, length)
          raise Construct::Blocked.new(:hours, index) unless start

          why, @asked = :late, from if start >= from + Planning::Lane::GRID
          later, reason, tool = clear_from(index, start, start + length)
          return CandidateSlot.new(start, who, nil, nil, why, tool) if later == start

          why = reason
          from = later
        end
        raise Construct::Blocked.new(:search, index)
      end

      # The first of those who may do it.
      # @return [Array(Integer, Integer), nil] start and person
      def hands_from(index, from, length)
        crew = @model.crew[index]
        return [ @partial.lanes[crew[0]].slot(from, length), crew[0] ] if crew.size == 1

        best = who = nil
        crew.each do |person|
          start = @partial.lanes[person].slot(from, length)
          best, who = start, person if start && (best.nil? || start < best)
        end
        best && [ best, who ]
      end

      # Work that may pause at closing between alike pieces, and inside a large face.
      def paused(index, from, why)
        TURNS.times do
          stretches, who = stretches_from(index, from)
          raise Construct::Blocked.new(:hours, index) unless stretches

          why, @asked = :late, from if stretches[0][0] >= from + Planning::Lane::GRID
          later, reason, tool = clear_from(index, stretches[0][0], stretches[-1][1])
          if later == stretches[0][0]
            return CandidateSlot.new(stretches[0][0], who, (stretches if stretches.size > 1), nil, why, tool)
          end

          why = reason
          from = later
        end
        raise Construct::Blocked.new(:search, index)
      end

      def stretches_from(index, from)
        crew = @model.crew[index]
        return (stretches = stretches_of(index, crew[0], from)) && [ stretches, crew[0] ] if crew.size == 1

        crew.filter_map { |person| (stretches = stretches_of(index, person, from)) && [ stretches, person ] }
          .min_by { |stretches, person| [ stretches[-1][1], person ] }
      end

      def stretches_of(index, person, from)
        if @model.count[index] > 1 || @model.each_min[index] >= Planning::Lane::LARGE
          return @partial.lanes[person].stretches(from, @model.each_min[index], @model.count[index])
        end

        start = @partial.lanes[person].slot(from, @model.hands[index])
        start && [ [ start, start + @model.hands[index] ] ]
      end

      # The first start at which room, rack and tools are free: the start itself when they are.
      # @return [Array(Integer, Symbol, Integer)] start, what put it off, tool
      def clear_from(index, start, finish)
        return [ start, nil, nil ] if @relaxed

        here = @partial.floors[@model.room[index]]
        if here.lane && (free = here.lane.slot(start, finish - start)) > start
          return [ free, :room, nil ]
        end
        work = start + @model.setup[index]
        if @model.dust[index] && (dry = here.wet.clash(work, finish + @model.settles[index]))
          return [ ceil(dry - @model.setup[index]), :dust, nil ]
        end
        later, why = wet_from(index, here, work, finish) if @model.wet[index]
        return [ later, why, nil ] if later
        return [ start, nil, nil ] if @model.tools[index].empty?

        free, tool = @model.tools[index]
          .map { |lane| [ @partial.tool_lanes[lane].slot(start, finish - start), lane ] }.min
        [ free, :tool, tool ]
      end

      # A film keeps clear of dust until it is dust-safe, and lies on the rack until it can be handled.
      def wet_from(index, here, work, finish)
        done = finish - @model.cleanup[index]
        early = early(index, work)
        there = @partial.floors[@model.dry_room[index]]
        if (safe = @model.dust_safe[index]&.at(done, early))
          clear = there.dusty.clash(work, safe) || (there.equal?(here) ? nil : here.dusty.clash(work, done))
          return [ ceil(clear - @model.setup[index]), :dust ] if clear
        end
        return unless there.rack
        raise Construct::Blocked.new(:rack, index) unless there.rack.holds?(@model.count[index])

        full = there.rack.full_until(work, @model.handle[index]&.at(done, early) || done, @model.count[index])
        full && [ ceil(full - @model.setup[index]), :rack ]
      end

      # Coats of its stack that were laid in the day before.
      def early(index, work)
        return 0 if @relaxed || @model.mates[index].empty?

        @model.mates[index].count do |mate|
          (done = @partial.work_end[mate]) && work - done < Planning::Placement::CROWDS_MIN
        end
      end
    end
  end
end
