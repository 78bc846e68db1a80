module Devices
  # Stands in for an instrument that is held on the work (colour reader, gloss meter, moisture meter, comb, film gauge,
  # efflux cup): what it is held on, with the scatter of a real one, and its ways to fail on request.
  class SimulatedInstrument < Instrument
    FAULTS = %w[none disconnected stale noisy out_of_range jump].freeze
    # Scatter of one touch, and the jump of a bad one.
    SCATTER = { "lab" => 0.25, "gloss" => 0.6, "moisture" => 0.3, "comb" => 3.0, "gauge" => 1.5,
                "efflux" => 0.4 }.freeze
    JUMP = { "lab" => 15.0, "gloss" => 60.0, "moisture" => 14.0, "comb" => 300.0, "gauge" => 400.0,
             "efflux" => 60.0 }.freeze
    # A comb shows its teeth, µm.
    TOOTH = 5
    # One that is stale shows what it showed so long ago, seconds.
    OLD_S = 3 * 3600

    attr_reader :name, :measure, :fault

    def initialize(name, measure, seed: 1)
      super()
      @name = name
      @measure = measure
      @random = Random.new(seed)
      @fault = "none"
      @lock = Mutex.new
    end

    def hand = self

    # Held on a surface.
    # @param value [Float, Array<Float>] what is really there
    def hold(value) = @lock.synchronize { @there = value }

    # @param fault [String] one of FAULTS
    def fault=(fault)
      @lock.synchronize { @fault = FAULTS.include?(fault) ? fault : "none" }
    end

    def reading(now:)
      @lock.synchronize do
        if fault == "disconnected" || @there.nil?
          raise Silent, "The #{name.downcase} does not answer: look at its battery and its link."
        end
        if fault == "out_of_range"
          raise Silent, "The #{name.downcase} is out of its range: hold it flat on the surface."
        end
        next @last || Reading.new(value: scattered, at: now - OLD_S) if fault == "stale"

        @last = Reading.new(value: scattered, at: now)
      end
    end

    private

    def scattered
      values = Array(@there).map { |value| value + scatter * (fault == "noisy" ? 8 : 1) }
      values[0] += JUMP.fetch(measure) if fault == "jump"
      rounded = values.map { |value| value.round(1) }
      return [ rounded[0].clamp(0, 100), *rounded.drop(1) ] if measure == "lab"

      shown = [ rounded[0], 0.0 ].max
      measure == "comb" ? (shown / TOOTH).round * TOOTH.to_f : shown
    end

    # Sum of three even draws: near enough to a bell.
    def scatter = (Array.new(3) { @random.rand }.sum - 1.5) * 2 * SCATTER.fetch(measure)
  end
end
