module Devices
  # What Rhexon asks of a bench scale. A driver for a real one is a subclass set in config.x.scale; nothing else knows
  # which it is.
  class Scale
    # @!attribute grams  [Float] as shown, in steps of the resolution
    # @!attribute stable [Boolean] settled
    # @!attribute at     [Time] when the scale took it
    Reading = Struct.new(:grams, :stable, :at, keyword_init: true)

    # The scale does not answer.
    Silent = Class.new(StandardError)

    # A reading older than this is told as stale, seconds.
    STALE_S = 5

    def name = raise(NotImplementedError)
    def resolution_g = raise(NotImplementedError)
    def capacity_g = raise(NotImplementedError)

    # @param now [Time]
    # @return [Reading]
    # @raise [Silent]
    def reading(now:) = raise(NotImplementedError)

    # Sets the present load to zero.
    # @raise [Silent]
    def zero(now:) = raise(NotImplementedError)

    # @return [SimulatedScale, nil] the hand that can pour on it, only on a stand-in
    def hand = nil
  end
end
