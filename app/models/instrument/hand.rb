# What instruments that are held on the work read: unit, range, and from which difference on it is a jump.
module Instrument::Hand
  # @!attribute words [String]
  # @!attribute device [String] measure of Devices::Instrument
  # @!attribute usual  [Float, Array] what a stand-in is held on where nobody says
  Measure = Struct.new(:words, :unit, :range, :jump, :device, :usual, keyword_init: true)

  MEASURES = {
    "moisture" => Measure.new(words: "moisture meter", unit: "%", range: 0.0..60.0, jump: 8.0, device: "moisture",
                              usual: 9.4),
    "comb" => Measure.new(words: "wet film comb", unit: "µm", range: 0.0..3000.0, jump: 150.0, device: "comb",
                          usual: 100.0),
    "gauge" => Measure.new(words: "film gauge", unit: "µm", range: 0.0..2000.0, jump: 150.0, device: "gauge",
                           usual: 90.0),
    "gloss" => Measure.new(words: "gloss meter", unit: "GU", range: 0.0..140.0, jump: 40.0, device: "gloss",
                           usual: 28.0),
    "colour" => Measure.new(words: "colour reader", unit: "L*a*b*", range: -128.0..128.0, jump: 10.0, device: "lab",
                            usual: [ 52.0, 14.0, 32.0 ]),
    "efflux" => Measure.new(words: "efflux cup", unit: "s", range: 5.0..600.0, jump: 30.0, device: "efflux",
                            usual: 24.0)
  }.freeze
end
