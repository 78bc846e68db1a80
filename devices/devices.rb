require_relative "scale"
require_relative "simulated_scale"

# The instruments of the bench, each behind the small interface a real one would use.
module Devices
  class << self
    # @param scale [Scale] a driver; without one a stand-in serves
    attr_writer :scale

    # @return [Scale]
    def scale = @scale ||= SimulatedScale.new(resolution_g: 0.1)
  end
end
