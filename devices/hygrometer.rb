module Devices
  # What Rhexon asks of a thermo-hygrometer. A real one need not be asked: it sends its readings (POST /readings).
  class Hygrometer
    # @!attribute t_c [Float] °C
    # @!attribute rh  [Float] %
    # @!attribute at  [Time] when it took them
    Reading = Struct.new(:t_c, :rh, :at, keyword_init: true)

    # The instrument does not answer.
    Silent = Class.new(StandardError)

    # @param now [Time]
    # @return [Reading]
    # @raise [Silent]
    def reading(now:) = raise(NotImplementedError)
  end
end
