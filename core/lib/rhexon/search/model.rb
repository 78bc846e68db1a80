module Rhexon
  module Search
    # The shop's passes as flat arrays, one entry a pass: what every build of a plan needs and none changes.
    class Model
      # What a pass waits for.
      # @!attribute lower   [Integer]
      # @!attribute opening [Drying::Opening]
      # @!attribute fixed   [Integer, nil] minute, when the lower pass is in the log
      Wait = Struct.new(:lower, :opening, :fixed)
      # A film below, whose window the pass meets.
      # @!attribute closing [Drying::Closing, nil]
      # @!attribute abraded [Array<Array<Integer>>] for each face on which it is met the dry abrasions of it in between
      # @!attribute faces   [Array<String>]
      Under = Struct.new(:lower, :closing, :sand, :abraded, :scuffs, :faces)

      attr_reader :shop, :drier, :passes, :queues, :logged, :people, :hours, :piece_of, :first, :last, :setup, :work,
                  :hands, :each_min, :count, :kind, :crew, :tools, :waits, :unders, :mates,
                  :dust_safe, :handle, :ready, :blocks, :scuff_min, :scuff_crew, :pieces, :rooms, :room, :dry_room,
                  :scuff_room, :dust, :wet, :pauses, :cleanup, :settles, :horizon, :always, :pinned, :goal,
                  :out_of_reach

      # @param shop [Planning::Shop]
      # @param queues [Hash{String=>Array<Planning::Pass>}] piece id => passes in document order
      # @param drier [Planning::MilestoneCalculator]
      # @param logged [Planning::ActualWork] what the log fixed
      def initialize(shop, queues, drier, logged)
        @shop = shop
        @queues = queues
        @drier = drier
        @logged = logged
        @horizon = shop.horizon
        @out_of_reach = {}
        @passes = queues.values.flatten(1)
        @people = shop.people
        @hours = @people.map { |person| Planning::Hours.new(person.calendar, shop.now, @horizon) }
        @always = Planning::Always.new(shop.now)
        number
        minutes
        drying
        @pinned = @passes.each_index
          .filter_map { |index|
            (pin = shop.pins[@passes[index].key]) &&
              !logged.placed[index] ? [ index, pin ] : nil
          }.to_h
        @blocks = Blocks.for(self)
        @goal = Goal.new(self)
      end

      def size = @passes.size
      def racked? = @racked

      # Short, since it holds the whole shop.
      def inspect = "#<#{self.class} #{size} passes>"

      # So many passes are dispatched as they come, without weighing each against the others.
      LARGE = 600
      LOOK_BACK_MIN = 600

      def large? = size > LARGE
      def look_back = large? ? LOOK_BACK_MIN : nil

      # @return [Integer] place of a room among the rooms
      def room_number(id) = @room_numbers.fetch(id)

      # A house rule of the piece of a pass.
      def house(index, rule) = @passes[index].piece.house.fetch(rule)

      # Minutes to scuff some faces of all pieces of a pass.
      def scuff_of(index, faces)
        (@scuffs_of ||= {})[[ index, faces ]] ||= Planning::Scuff.each_min(@passes[index], faces) * @count[index]
      end

      # @return [Array<Integer>] passes of each piece that are still to be placed, in document order
      def open_passes(piece) = (@first[piece]..@last[piece]).reject { |index| @logged.placed[index] }

      private

      def number
        @pieces = @shop.pieces
        @piece_of = []
        @first, @last = [], []
        @queues.each_value.with_index do |passes, piece|
          @first << @piece_of.size
          passes.each { @piece_of << piece }
          @last << @piece_of.size - 1
        end
      end

      def minutes
        @setup = @passes.map(&:setup_min)
        @work = @passes.map(&:work_min)
        @hands = @passes.map(&:hands_min)
        @each_min = @passes.map(&:each_min)
        @count = @passes.map(&:count)
        @kind = @passes.map { |pass| pass.kind.to_sym }
        @crew = @passes.map { |pass| crew_of(pass) }
        @tools = @passes.map { |pass| pass.tools.map { |id| @shop.tools.index { |tool| tool["id"] == id } } }
        @mates = @passes.map(&:mates)
        @cleanup = @passes.map(&:cleanup_min)
        @dust = @passes.map(&:dust)
        @wet = @passes.map(&:leaves_something?)
        @pauses = @passes.map(&:pauses)
        @settles = @passes.map { |pass| pass.piece.house.fetch("dust_settles_min") }
        places
        @scuff_crew = @passes.map do |pass|
          pass.film? ? @shop.hands_for(nil, pass.piece.by).map { |person| @people.index(person) } : []
        end
        @scuff_min = @passes.map { |pass| pass.film? ? Planning::Scuff.each_min(pass) * pass.count : 0 }
      end

      def places
        @rooms = @shop.rooms.values
        @room_numbers = @rooms.each_with_index.to_h { |room, index| [ room.id, index ] }
        @room = @passes.map { |pass| @room_numbers.fetch(pass.room) }
        @dry_room = @passes.map { |pass| @room_numbers.fetch(pass.dry_room) }
        @scuff_room = @passes.map { |pass| @room_numbers.fetch(Planning::Scuff.room(pass, @shop)) }
        @racked = @rooms.any?(&:rack_places)
      end

      # Whose hands may do it: as the pin says while that person is at the bench, or whoever is trained.
      def crew_of(pass)
        return [] if pass.kind == "wait"

        wanted = @shop.pins[pass.key]&.person
        wanted = nil if @shop.away.include?(wanted)
        able = @shop.hands_for(pass.skill, pass.piece.by)
        (wanted ? @people.select { |person| person.id == wanted } : able).map { |person| @people.index(person) }
      end

      def drying
        @waits = @passes.map { |pass| pass.needs.filter_map { |need| wait(need) } }
        @unders = @passes.map { |pass| pass.under.map { |lower| under(pass, lower) } }
        wet = ->(name) { @passes.map { |pass| (pass.leaves_something? && @drier.opening(pass, name)) || nil } }
        @dust_safe = @passes.map { |pass| (pass.film? && @drier.opening(pass, "dust_safe")) || nil }
        @handle = wet.call("handle")
        @ready = @passes.map { |pass| (pass.last_on_faces && @drier.opening(pass, pass.piece.ready_at)) || nil }
      end

      def wait(need)
        lower = @passes[need.pass]
        placed = @logged.placed[need.pass]
        opening = @drier.opening(lower, need.milestone, need.pair) or return
        Wait.new(need.pass, opening,
                 placed && (@drier.reached_at(placed, need.milestone, need.pair) || @horizon + 1)).freeze
      end

      def under(pass, lower)
        below = @passes[lower]
        closing = if pass.hard && pass.hard.lower == lower && pass.hard.closes
          @drier.closing(below, pass.hard.closes)
        else
          @drier.closing(below)
        end
        Under.new(lower, closing, @drier.opening(below, "sand"), pass.abraded_by[lower] || [],
                  !below.product.redissolves?, pass.under_faces.fetch(lower)).freeze
      end
    end
  end
end
