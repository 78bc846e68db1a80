require_relative "scale"
require_relative "simulated_scale"
require_relative "instrument"
require_relative "simulated_instrument"
require_relative "hygrometer"
require_relative "simulated_hygrometer"
require_relative "simulated_weather"

# The instruments of the bench, each behind the small interface a real one would use.
module Devices
  class << self
    # @param scale [Scale] a driver; without one a stand-in serves
    attr_writer :scale

    # @return [Scale]
    def scale = @scale ||= SimulatedScale.new(resolution_g: 0.1)

    # @param measure [String] "lab" or "gloss"
    # @return [Instrument, nil] nil: none reads that
    def instrument(measure) = instruments[measure]

    # @param driver [Instrument] in the place of the stand-in
    def use(driver) = instruments[driver.measure] = driver

    private

    def instruments
      @instruments ||= {
        "lab" => SimulatedInstrument.new("Colour reader, stand-in", "lab"),
        "gloss" => SimulatedInstrument.new("Gloss meter, stand-in", "gloss", seed: 2)
      }
    end
  end
end
