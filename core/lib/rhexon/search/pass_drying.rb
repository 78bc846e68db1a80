module Rhexon
  module Search
    # What the passes wait for and lie upon, and when what they leave is dry, by index.
    class PassDrying
      # What a pass waits for.
      # @!attribute lower   [Integer]
      # @!attribute opening [Drying::Opening]
      # @!attribute fixed   [Integer, nil] minute, when the lower pass is in the log
      Wait = Struct.new(:lower, :opening, :fixed)
      # A film below, whose window the pass meets.
      # @!attribute closing [Drying::Closing, nil]
      # @!attribute abraded [Array<Array<Integer>>] for each face on which it is met the dry abrasions of it in between
      # @!attribute faces   [Array<String>]
      # @!attribute scuffs  [Boolean] a scuff helps: it does not melt into what goes over it
      # @!attribute hard    [Boolean] what goes over it holds by its scratches alone, whenever it comes
      Under = Struct.new(:lower, :closing, :sand, :abraded, :scuffs, :faces, :hard)

      # @!attribute waits  [Array<Array<Wait>>]
      # @!attribute unders [Array<Array<Under>>]
      # @!attribute mates  [Array<Array<Integer>>] earlier coats of its stack
      # @!attribute dust_safe, handle, ready [Array<Drying::Opening, nil>]
      attr_reader :waits, :unders, :mates, :dust_safe, :handle, :ready

      # @param passes [Array<Planning::Pass>]
      # @param drier [Planning::MilestoneCalculator]
      # @param logged [Planning::ActualWork]
      # @param horizon [Integer] minute after which nothing is planned
      def initialize(passes, drier, logged, horizon)
        @passes = passes
        @drier = drier
        @logged = logged
        @horizon = horizon
        @waits = passes.map { |pass| pass.needs.filter_map { |need| wait(need) } }
        @unders = passes.map { |pass| pass.under.map { |lower| under(pass, lower) } }
        @mates = passes.map(&:mates)
        @dust_safe = openings("dust_safe", &:film?)
        @handle = openings("handle", &:leaves_something?)
        @ready = passes.map { |pass| (pass.last_on_faces && drier.opening(pass, pass.piece.ready_at)) || nil }
      end

      private

      def openings(milestone)
        @passes.map { |pass| (yield(pass) && @drier.opening(pass, milestone)) || nil }
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
                  !below.product.redissolves?, pass.under_faces.fetch(lower),
                  !Materials::Pairs.hard(below.product, pass.product).nil?).freeze
      end
    end
  end
end
