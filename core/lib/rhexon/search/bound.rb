module Rhexon
  module Search
    # No plan can be ready before: each piece alone with everybody for itself, coats not slowing each other, no
    # scuffs, rooms and tools free; for each room that holds one pass at a time all its passes; and for each training
    # the hands it takes, through the open hours of those who have it, between the earliest start and the shortest
    # tail.
    class Bound
      # @!attribute ready_at [Integer]
      # @!attribute because  [String] chain, hands or room
      # @!attribute passes   [Array<String>] keys of the chain
      # @!attribute tails    [Array<Integer, nil>] by pass: minutes from its start to ready, alone in the shop
      # @!attribute earliest [Array<Integer, nil>] by pass: start alone in the shop
      attr_reader :ready_at, :because, :passes, :tails, :earliest

      # @param model [Model]
      def initialize(model)
        @model = model
        @tails = Array.new(model.size)
        @earliest = Array.new(model.size)
        @alone = Construct.new(model, relaxed: true).each_alone
        chains = model.pieces.each_index.filter_map { |piece| chain(piece) }
        longest = chains.max_by { |ready, piece| [ ready, -piece ] }
        limits = { "chain" => longest&.first, "hands" => hands_end, "room" => rooms_end }.compact
        @because, @ready_at = limits.max_by(&:last) || [ "hands", model.shop.now ]
        @passes = if @because == "chain"
          (model.first[longest.last]..model.last[longest.last]).map { |index| model.passes[index].key }
        else
          []
        end
      end

      private

      # @return [Array(Integer, Integer), nil] ready and piece
      def chain(piece)
        return if @model.last[piece] < @model.first[piece]

        ready = @alone.ready[piece] or return
        (@model.first[piece]..@model.last[piece]).each do |index|
          @earliest[index] = @alone.start[index]
          @tails[index] = [ ready - @alone.start[index], 0 ].max
        end
        [ ready, piece ]
      end

      def open
        @open ||= @model.passes.each_index.select do |index|
          @model.logged.placed[index].nil? && @model.times.hands[index].positive? && @earliest[index]
        end
      end

      # All passes of a room that holds one at a time, while anybody is there.
      def rooms_end
        @model.places.rooms.each_index.select { |room| @model.places.rooms[room].single? }.filter_map do |room|
          mine = open.select { |index| @model.places.room[index] == room }
          end_to_end((0...@model.people.size).to_a, mine, 1) if mine.any?
        end.max
      end

      # All hands of a crew laid end to end.
      def hands_end
        open.group_by { |index| @model.crews.crew[index] }
          .keys
          .map { |crew| crew_end(crew, open.select { |index| (@model.crews.crew[index] - crew).empty? }) }.compact.max
      end

      # Work that only these hands may do: from the earliest head on, and after it at least the shortest tail.
      def crew_end(crew, indices) = end_to_end(crew, indices, crew.size)

      # @param most [Integer] that can be at work at once
      def end_to_end(crew, indices, most)
        left = indices.sum { |index| @model.times.hands[index] }
        head = indices.map { |index| @earliest[index] }.min
        tail = indices.map { |index| tail_of(index) }.min
        least = laid_end_to_end(crew, head, left, most)
        least && least + [ tail, 0 ].max
      end

      # What comes after a pass at least. Alone it may have waited for the shop to open: another start can save that, so
      # that only the minutes count in which somebody is there.
      def tail_of(index)
        from, till = @alone.hands_end[index], @alone.ready[@model.piece_of[index]]
        till > from ? attended_until(till) - attended_until(from) : 0
      end

      # Minutes with somebody there, from the first opening on.
      def attended_until(minute)
        at = attended.bsearch_index { |_, shut, _| shut >= minute }
        open, shut, before = attended[at || -1]
        open ? before + [ [ minute, shut ].min - open, 0 ].max : 0
      end

      # @return [Array<Array(Integer, Integer, Integer)>] open, shut, and attended minutes before it
      def attended
        @attended ||= begin
          before = 0
          Planning::Calendar.joined(@model.hours.flat_map { |hours| hours.opens.zip(hours.shuts) }).map do |open, shut|
            [ open, shut, before ].tap { before += shut - open }
          end
        end
      end

      def laid_end_to_end(crew, from, left, most)
        edges = crew.flat_map { |person|
          hours = @model.hours[person]; hours.opens
          .zip(hours.shuts)
          .flat_map { |open, shut| shut > from ? [ [ [ open, from ].max, 1 ], [ shut, -1 ] ] : [] }
        }.sort
        there = 0
        edges.each_with_index do |(minute, change), index|
          there += change
          at_work = [ there, most ].min
          following = edges[index + 1]&.first or return
          return minute + (left / at_work.to_f).ceil if at_work.positive? && left <= at_work * (following - minute)

          left -= at_work * (following - minute)
        end
        nil
      end
    end
  end
end
