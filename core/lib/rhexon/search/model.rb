module Rhexon
  module Search
    # The shop's passes as flat arrays, one entry a pass: what every build of a plan needs and none changes.
    class Model
      # @!attribute times    [PassTimes]
      # @!attribute places   [PassPlaces]
      # @!attribute crews    [PassCrews]
      # @!attribute drying   [PassDrying]
      # @!attribute queues   [Hash{String=>Array<Planning::Pass>}] by piece
      # @!attribute hours    [Array<Planning::Hours>] by person
      # @!attribute piece_of [Array<Integer>] by pass
      # @!attribute first, last [Array<Integer>] pass by piece
      # @!attribute kind     [Array<Symbol>] by pass
      # @!attribute blocks   [Array<Blocks::Block, nil>] by its first pass
      # @!attribute pinned   [Hash{Integer=>Planning::Pin}] passes that a hand has fixed
      # @!attribute out_of_reach [Hash{Integer=>true}] first passes of blocks that no build can catch
      attr_reader :shop, :drier, :passes, :queues, :logged, :people, :hours, :piece_of, :first, :last, :kind, :times,
                  :places, :crews, :drying, :blocks, :pieces, :horizon, :always, :pinned, :goal, :out_of_reach

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
        @kind = @passes.map { |pass| pass.kind.to_sym }
        @times = PassTimes.new(@passes)
        @places = PassPlaces.new(@passes, shop)
        @crews = PassCrews.new(@passes, shop)
        @drying = PassDrying.new(@passes, drier, logged, @horizon)
        @pinned = pins
        @blocks = Blocks.for(self)
        @goal = Goal.new(self)
      end

      def size = @passes.size

      # Short, since it holds the whole shop.
      def inspect = "#<#{self.class} #{size} passes>"

      # So many passes are dispatched as they come, without weighing each against the others.
      LARGE = 600
      LOOK_BACK_MIN = 600

      def large? = size > LARGE
      def look_back = large? ? LOOK_BACK_MIN : nil

      # Minutes by which the passes of each piece come before others that could begin as soon: what is urgent before
      # all, and what is done when there is time after all.
      # @return [Array<Integer>] by piece
      def turn
        @turn ||= @pieces.map { |piece| (Planning::Piece::PRIORITIES.index(piece.priority) - 1) * @horizon }
      end

      # What cannot wait comes before that.
      def hurried = -2 * @horizon

      # @return [Integer] passes that are still to be placed
      def open_size = size - @logged.placed.count(&:itself)

      # A house rule of the piece of a pass.
      def house(index, rule) = @passes[index].piece.house.fetch(rule)

      # @return [Array<Integer>] passes of each piece that are still to be placed, in document order
      def open_passes(piece) = (@first[piece]..@last[piece]).reject { |index| @logged.placed[index] }

      # Up to which of its passes a piece is worked on. What only tells of the film afterwards makes it neither ready
      # nor late.
      # @return [Array<Integer>] by piece, the last of them by index
      def worked_until
        @worked_until ||= @pieces.each_index.map do |piece|
          @last[piece].downto(@first[piece]).find { |index| !@passes[index].work.tells? } || @last[piece]
        end
      end

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

      def pins
        @passes.each_index.filter_map { |index|
          pin = @shop.pins[@passes[index].key]
          [ index, pin ] if pin && !@logged.placed[index]
        }.to_h
      end
    end
  end
end
