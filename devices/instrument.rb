module Devices
  # What Rhexon asks of an instrument that is held on the work. A driver for a real one is a subclass; nothing else
  # knows which it is.
  class Instrument
    # @!attribute value [Float, Array<Float>] L*a*b* under D65 with the 2 degree eye; else in the unit of its measure:
    #   gloss GU at 60 degrees, moisture %, comb and gauge µm, efflux s
    # @!attribute at    [Time]
    Reading = Struct.new(:value, :at, keyword_init: true)

    # The instrument does not answer, or what it says cannot be.
    Silent = Class.new(StandardError)

    # A reading older than this is told as stale, seconds.
    STALE_S = 10

    def name = raise(NotImplementedError)

    # @return [String] the measure it reads: lab, gloss, moisture, comb, gauge or efflux
    def measure = raise(NotImplementedError)

    # One touch on the surface.
    # @param now [Time]
    # @return [Reading]
    # @raise [Silent]
    def reading(now:) = raise(NotImplementedError)

    # @return [SimulatedInstrument, nil] the hand that can hold it on something, only on a stand-in
    def hand = nil
  end
end
