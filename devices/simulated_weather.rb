module Devices
  # Stands in for a weather line: what the weather makes of a place in the day to come, hour by hour. A function of the
  # time it is asked at, with the ways of a real one to fail.
  class SimulatedWeather < Hygrometer
    FAULTS = SimulatedHygrometer::FAULTS
    HOURS = 24
    # How far the place is off what it is set to, and how it swings with the day.
    OFF_C, SWING_C, OFF_RH, SWING_RH = -2.5, 1.5, 5.0, 4.0
    NOISE_C, JUMP_C = 6.0, 25.0
    STALE_S = SimulatedHygrometer::STALE_S

    # @param t_c, rh [Numeric] as the place is set
    def initialize(t_c:, rh:, fault: "none", seed: 1)
      super()
      @t_c = t_c
      @rh = rh
      @fault = FAULTS.include?(fault) ? fault : "none"
      @seed = seed
    end

    # @return [Array<Reading>] one for each hour to come
    # @raise [Silent]
    def forecast(now:)
      raise Silent, "The weather line does not answer." if @fault == "disconnected"

      from = Time.at((@fault == "stale" ? now - STALE_S - HOURS * 3600 : now).to_i / 3600 * 3600).utc
      (1..HOURS).map { |ahead| hour(from + ahead * 3600) }
    end

    private

    # Coldest at five in the morning, and dampest then.
    def hour(at)
      warm = -Math.cos((at.hour - 5) / 24.0 * 2 * Math::PI)
      noise = @fault == "noisy" ? (Random.new(@seed + at.to_i / 3600).rand * 2 - 1) * NOISE_C : 0
      t_c = if @fault == "out_of_range"
        99.0
      else
        @t_c + OFF_C + SWING_C * warm + noise + (@fault == "jump" ? JUMP_C : 0)
      end
      Reading.new(t_c: t_c, rh: (@rh + OFF_RH - SWING_RH * warm).clamp(1.0, 100.0), at: at)
    end
  end
end
