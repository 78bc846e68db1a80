module Rhexon
  module Drying
    # When something may be done on a coat: reached once each of its processes has had its reference minutes.
    # Several processes stand for milestones that may not be reached before each other.
    class Opening
      # @!attribute progress [Progress]
      # @!attribute needed   [Float] reference minutes without the coats before it
      # @!attribute phase    [String] early or hard
      Part = Struct.new(:progress, :needed, :phase)

      attr_reader :parts, :least

      # @param parts [Array<Part>]
      # @param crowded [Boolean] earlier coats of the same stack slow it (evaporative)
      # @param least [Integer] minutes it takes at least, whatever the air
      def initialize(parts, crowded: false, least: 0)
        @parts = parts
        @crowded = crowded
        @least = least
        @only = parts.first if parts.size == 1 && least.zero?
        freeze
      end

      def crowded? = @crowded

      # @param from [Integer] minute laying ended
      # @param earlier [Integer] coats of the same stack in the 24 h before
      # @param factor [Float] what was drawn or seen of this coat
      # @return [Integer, nil] minute; nil: not within 400 days
      def at(from, earlier = 0, factor = 1.0)
        factor *= Milestones.coat_factor(earlier) if @crowded && earlier.positive?
        if @only
          minute = @only.progress.minute(from, @only.needed * factor)
          return minute.nil? || minute > from ? minute : from
        end

        latest = from + @least
        @parts.each do |part|
          minute = part.progress.minute(from, part.needed * factor) or return
          latest = minute if minute > latest
        end
        latest
      end

      # @param by [Integer] minute
      # @return [Integer, nil] the latest minute laying may end so that it is reached by then
      def begun(by, earlier = 0)
        factor = @crowded ? Milestones.coat_factor(earlier) : 1.0
        @parts.reduce(by - @least) { |found, part| [ found, part.progress.begun(by, part.needed * factor) || (return nil) ].min }
      end
    end
  end
end
