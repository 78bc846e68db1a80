module Devices
  # Stands in for a thermo-hygrometer: the air of its room, a little warmer than it is set and swinging with the day,
  # with the scatter of a real one and its ways to fail on request. A function of the time it is asked at.
  class SimulatedHygrometer < Hygrometer
    FAULTS = %w[none disconnected stale noisy out_of_range jump].freeze
    # How far a room is off what it is set to, and how it swings in an hour.
    OFF_C, OFF_RH, SWING_C = 0.8, 3.0, 0.4
    SCATTER_C, SCATTER_RH = 0.1, 0.6
    JUMP_C, JUMP_RH = 14.0, 30.0
    # Since when one that is stale says nothing new.
    STALE_S = 3 * 3600

    # @param air [Proc] time => [°C, % RH] as the room is set
    # @param fault [String] one of FAULTS
    def initialize(air, fault: "none", seed: 1)
      super()
      @air = air
      @fault = FAULTS.include?(fault) ? fault : "none"
      @seed = seed
    end

    def reading(now:)
      raise Silent, "It does not answer: look at its battery and its link." if @fault == "disconnected"

      at = @fault == "stale" ? now - STALE_S : now
      return Reading.new(t_c: 85.0, rh: 0.0, at: at) if @fault == "out_of_range"

      random = Random.new(@seed + at.to_i / 60)
      spread = @fault == "noisy" ? 8 : 1
      t_c, rh = @air.call(at)
      jump = @fault == "jump" ? 1 : 0
      swing = SWING_C * Math.sin(at.to_i / 3600.0)
      Reading.new(t_c: t_c + OFF_C + swing + even(random) * SCATTER_C * spread + JUMP_C * jump,
                  rh: (rh + OFF_RH + even(random) * SCATTER_RH * spread + JUMP_RH * jump).clamp(1.0, 100.0), at: at)
    end

    private

    def even(random) = random.rand * 2 - 1
  end
end
