module Rhexon
  module Search
    # Scuffs before coats whose window was lost, or as the house has it.
    class ScuffPlacement < BuildPart
      TRIES = 40
      NONE = [].freeze
      # Faces on which a film has to be scuffed.
      Lost = Struct.new(:under, :faces)

      # @param partial [PartialSchedule]
      # @param slots [SlotFinder] of the same build
      def initialize(partial, slots)
        super(partial)
        @slots = slots
      end

      # @param work [Integer] minute the coat's work would start
      def scuff_first?(index, work) = to_scuff(index, work).any?

      # The scuff is done when the film is dry to sand, normally right before the coat; where dust must settle in a
      # room that the film lies in, that much earlier.
      # One that is held ahead goes before other work, so that the morning is free for the coat. Where it cannot go
      # right before, any hour in which it stays fresh will do.
      # @param from [Integer] minute from which the coat could start
      # @param coat [CandidateSlot] where it would go without a scuff
      # @return [CandidateSlot] with the scuff
      # @raise [Blocked]
      def with_scuff(index, from, coat)
        lost = to_scuff(index, coat.start + @times.setup[index])
        TRIES.times do
          scuff = scuffed_coat(index, from, coat, lost)
          more = to_scuff(index, scuff.start + @times.setup[index])
          return scuff if more.all? { |one| (one.faces - lost.flat_map(&:faces)).empty? }

          lost |= more
        end
        raise Blocked.new(:search, index)
      end

      # @param minutes [Integer] of hands, on the grid
      # @param length [Integer] of dust
      # @return [Array(Integer, Integer, Integer)] start, end, person
      def scuff_from(index, from, minutes, length)
        here = @partial.rooms[@places.scuff_room[index]]
        SlotFinder::TURNS.times do
          start, who = @crews.scuff_crew[index]
            .filter_map { |person| (slot = @partial.lanes[person].slot(from, minutes)) && [ slot, person ] }
            .min_by { |slot, person| [ slot, person == @holds.scuff_by(index) ? -1 : person ] }
          raise Blocked.new(:hours, index) unless start

          later = here.lane ? here.lane.slot(start, minutes) : start
          dry = later == start ? here.wet.clash(start, start + length + @times.settles[index]) : nil
          later = Planning::Calendar.ceil(dry) if dry
          return [ start, start + length, who ] if later == start

          from = later
        end
        raise Blocked.new(:search, index)
      end

      # Dust settles in a room where the film is laid or lies wet, before its work.
      def gap(index)
        if [ @places.room[index], @places.dry_room[index] ].include?(@places.scuff_room[index])
          [ @times.settles[index] - @times.setup[index], 0 ].max
        else
          0
        end
      end

      def open_at_or_logged(under)
        placed = @model.logged.placed[under.lower]
        placed ? @model.drier.reached_at(placed, "sand") : @partial.open_at(under.lower, under.sand)
      end

      private

      # Films below that have to be scuffed first, and on which faces: those whose window is over, and what the
      # house's school adds.
      # @return [Array<Lost>]
      def to_scuff(index, work)
        unders = @drying.unders[index]
        return NONE if unders.empty? || @partial.scuff[index] || fresh_from_log?(index, work)
        return NONE if @model.house(index, "scuff") == "none" && unders.none? { |under|
          under.hard || over?(under, work)
        }

        stale = unders.map { |under| Lost.new(under, stale_faces(under, work)) }.reject { |lost| lost.faces.empty? }
        over = stale.select { |lost| over?(lost.under, work) }
        return NONE if over.any? && !scuffs_when_over?(index)

        over | stale.select { |lost| lost.under.hard || school?(index, lost.under, work) }
      end

      def over?(under, work) = (closes = under.closing&.at(@partial.first_end[under.lower])) && work > closes

      def scuffs_when_over?(index)
        @model.house(index, "missed_window") == "scuff" &&
          (@model.passes[index].hard.nil? || @model.passes[index].hard.kind == "one_batch")
      end

      # Faces that were not abraded dry after their last coat, or longer ago than the house rule allows.
      def stale_faces(under, work)
        valid = @model.house(under.lower, "scuff_valid_min")
        under.faces
          .zip(under.abraded)
          .reject { |_, rubs|
            rubs.any? { |index|
              (done = @partial.hands_end[index]) && done >= @partial.work_end[under.lower] && done <= work &&
                work <= done + valid
            }
          }
          .map(&:first)
      end

      def fresh_from_log?(index, work)
        done = @model.logged.scuffs[@model.passes[index].key]&.hands_end
        done && done <= work && work <= done + @model.house(index, "scuff_valid_min")
      end

      def school?(index, under, work)
        case @model.house(index, "scuff")
        when "always" then under.scuffs
        when "after_a_night"
          under.scuffs && @model.shop.zone.day(@partial.work_end[under.lower]) != @model.shop.zone.day(work)
        else false
        end
      end

      # Its piece is free, and each film is dry to sand.
      def earliest(index, lost)
        sanded = lost.filter_map { |window| window.under.sand && open_at_or_logged(window.under) }.max
        [ @now, @partial.ends[@model.piece_of[index]], sanded ].compact.max
      end

      # Dust of the scuff settles before the coat, and the coat comes while the scuff is fresh.
      def scuffed_coat(index, from, coat, lost)
        faces = @model.passes[index].faces & lost.flat_map(&:faces)
        length = @times.scuff_of(index, faces)
        minutes = Planning::Calendar.ceil(length)
        earliest = earliest(index, lost)
        gap = gap(index)
        valid = @model.house(index, "scuff_valid_min")
        ahead = @holds.ahead?(index)
        at = [ earliest, ahead ? @holds.scuff_from(index) : from - minutes - gap ].compact.max
        TRIES.times do
          scuff = scuff_from(index, at, minutes, length)
          coat = @slots.first_fit(index, [ from, scuff[1] + gap ].max, coat.why, coat.asked)
          scuff = nearer(index, scuff, coat.start - gap, minutes, length) unless ahead
          scuff = ahead_of(index, scuff, coat, earliest, length) unless fresh_until?(index, scuff, coat, valid)
          coat.scuff = [ *scuff, faces ]
          return coat if fresh_until?(index, scuff, coat, valid)

          at = [ coat.start - gap - minutes, at + 1 ].max
          ahead = false
        end
        raise Blocked.new(:search, index)
      end

      def fresh_until?(index, scuff, coat, valid) = coat.start + @times.setup[index] <= scuff[1] + valid

      # The first free hour from which on a scuff is still fresh at the coat, if it is done before it.
      def ahead_of(index, scuff, coat, earliest, length)
        minutes = Planning::Calendar.ceil(length)
        soonest = coat.start + @times.setup[index] - @model.house(index, "scuff_valid_min") - length
        ahead = scuff_from(index, [ soonest, earliest ].max, minutes, length)
        ahead[1] + gap(index) <= coat.start ? ahead : scuff
      rescue Blocked
        scuff
      end

      # Moved up to the coat, if that can be.
      def nearer(index, scuff, finish, minutes, length)
        return scuff unless finish - minutes > scuff[0]

        later = scuff_from(index, finish - minutes, minutes, length)
        later[1] <= finish ? later : scuff
      rescue Blocked
        scuff
      end
    end
  end
end
