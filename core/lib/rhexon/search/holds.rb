module Rhexon
  module Search
    # What a build is told to put off: passes that may not start before a minute, and scuffs that go ahead of other work
    # so that the morning is free for the coat. A value: each change is another one.
    class Holds
      # @param minutes [Hash{Integer=>Integer}] pass => minute before which its hands may not start
      # @param ahead [Array<Integer>] coats whose scuff goes ahead
      def initialize(minutes = {}, ahead = [])
        @minutes = minutes.freeze
        @ahead = ahead.freeze
        freeze
      end

      NONE = new

      # @return [Integer, nil] minute before which a pass may not start
      def [](index) = @minutes[index]

      # @return [Integer, nil] the same for a pass inside a hard window, which follows as soon as it may
      def inside(_index) = nil

      # @return [Integer, nil] person who goes before others that could begin as soon
      def person(_index) = nil

      # @return [Array<Array(Integer, Integer)>, nil] stretches of hands of work that pauses
      def stretches(_index) = nil

      # @return [Integer, nil] minute before which a scuff that goes ahead may not start
      def scuff_from(_index) = nil

      # @return [Integer, nil] person who scuffs before others that could begin as soon
      def scuff_by(_index) = nil

      # What fixed the start of a pass.
      # @param spot [CandidateSlot]
      # @return [Symbol]
      def reason(index, spot)
        self[index] && spot.start >= self[index] && spot.why != :pin ? :goal : spot.why
      end

      # @return [Boolean] whether the scuff before a coat goes ahead of other work
      def ahead?(index) = @ahead.include?(index)

      # @return [Holds]
      def hold(index, minute) = Holds.new(@minutes.merge(index => minute), @ahead)

      # @return [Holds]
      def scuff_ahead(index) = Holds.new(@minutes, @ahead | [ index ])

      # Held, or let go where it was held; a minute of nil holds nothing.
      # @return [Holds]
      def toggle(index, minute)
        return Holds.new(@minutes.except(index), @ahead) if @minutes.key?(index)

        minute ? hold(index, minute) : self
      end

      # @return [Holds]
      def toggle_scuff(index) = ahead?(index) ? Holds.new(@minutes, @ahead - [ index ]) : scuff_ahead(index)
    end
  end
end
