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
