module Rhexon
  module Drying
    # When something is over: only chemistry and warmth count, and only to shorten.
    # @!attribute progress [Progress] towards closing
    # @!attribute minutes  [Float] on the sheet
    Closing = Struct.new(:progress, :minutes) do
      # @param from [Integer] minute laying the first piece ended
      # @return [Integer, nil] the last whole minute; nil: not within 400 days
      def at(from) = progress.reached(from, minutes)&.+(Progress::NOISE_MIN)&.floor

      # @param minute [Integer]
      # @return [Integer, nil] the earliest end of laying that is still open then
      def latest_start_for(minute)
        progress.latest_start_for(minute, minutes)&.then { |latest| at(latest) < minute ? latest + 1 : latest }
      end
    end
  end
end
