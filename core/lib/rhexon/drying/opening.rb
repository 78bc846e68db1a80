module Rhexon
  module Drying
    # When something may be done on a coat: reached once each of its processes has had its reference minutes.
    # Several processes stand for milestones that may not be reached before each other.
    class Opening
      # @!attribute progress [Progress]
      # @!attribute needed   [Float] reference minutes without the coats before it
      # @!attribute phase    [String] early or hard
      # @!attribute crowded  [Boolean] earlier coats of the same stack slow it (evaporative)
      Part = Struct.new(:progress, :needed, :phase, :crowded)

      attr_reader :parts, :least

      # @param parts [Array<Part>]
      # @param least [Integer] minutes it takes at least, whatever the air
      def initialize(parts, least: 0)
        @parts = parts
        @least = least
        @only = parts.first if parts.size == 1 && least.zero?
        freeze
      end

      # @param from [Integer] minute laying ended
      # @param earlier [Integer] coats of the same stack in the 24 h before
      # @param factor [Float] what was drawn or seen of this coat
      # @return [Integer, nil] minute; nil: not within 400 days
      def at(from, earlier = 0, factor = 1.0)
        crowd = earlier.positive? ? Milestones.coat_factor(earlier) : 1.0
        if @only
          minute = @only.progress.minute(from, @only.needed * (@only.crowded ? factor * crowd : factor))
          return minute.nil? || minute > from ? minute : from
        end

        latest = from + @least
        @parts.each do |part|
          minute = part.progress.minute(from, part.needed * (part.crowded ? factor * crowd : factor)) or return
          latest = minute if minute > latest
        end
        latest
      end

      # @param share [Float] 0 to 1
      # @return [Opening] when so much of the way to it is gone
      def part_of(share)
        Opening.new(parts.map { |part| part.dup.tap { |one| one.needed = part.needed * share }.freeze })
      end

      # @param by [Integer] minute
      # @return [Integer, nil] the latest minute laying may end so that it is reached by then
      def latest_start_for(by, earlier = 0)
        crowd = Milestones.coat_factor(earlier)
        @parts.reduce(by - @least) do |latest, part|
          [
            latest, part.progress.latest_start_for(by, part.crowded ? part.needed * crowd : part.needed) || (return nil)
          ].min
        end
      end
    end
  end
end
