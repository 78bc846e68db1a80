module Devices
  # Stands in for a bench scale: lags and settles, drifts, can be poured on too long, and fails on request the ways a
  # real one does.
  # It is a function of the time it is asked at, so that it can be tested without waiting.
  class SimulatedScale < Scale
    LAG_S = 0.35
    SETTLES_S = 0.9
    DRIFT_G_PER_MIN = 0.04
    # After the hand stops this much more runs out of the can, seconds of pouring.
    DRIBBLE_S = 0.18
    MOST_G_PER_S = 400
    FAULTS = %w[none disconnected stale noisy jump].freeze
    JUMP_G = 2500

    attr_reader :name, :resolution_g, :capacity_g, :fault

    def initialize(resolution_g: 1.0, capacity_g: 6000.0, seed: 1, name: "Bench scale, stand-in")
      super()
      @name = name
      @resolution_g = resolution_g
      @capacity_g = capacity_g
      @random = Random.new(seed)
      @lock = Mutex.new
      @load = @shown = @zero = 0.0
      @rate = 0.0
      @fault = "none"
    end

    def reading(now:)
      @lock.synchronize do
        raise Silent, "The scale does not answer: look at its cable and its battery." if fault == "disconnected"

        next @last if fault == "stale" && @last

        advance(now)
        raise Silent, "The scale is over its #{capacity_g.round} g." if @load > capacity_g

        @last = Reading.new(grams: round(@shown - @zero + drift(now) + disturbance),
                            stable: settled?(now) && fault == "none", at: now)
      end
    end

    def zero(now:)
      @lock.synchronize do
        raise Silent, "The scale does not answer: look at its cable and its battery." if fault == "disconnected"

        advance(now)
        @zero = @shown = @load
        @zeroed_at = now
      end
    end

    def hand = self

    # Begins to pour.
    # @param g_per_s [Numeric]
    def pour(g_per_s, now:)
      @lock.synchronize do
        advance(now)
        @rate = g_per_s.clamp(0, MOST_G_PER_S)
        @moved_at = now
      end
    end

    # The hand stops; the can dribbles on a little.
    def stop(now:)
      @lock.synchronize do
        advance(now)
        @load += @rate * DRIBBLE_S
        @rate = 0.0
        @moved_at = now
      end
    end

    # Sets an amount down on it or takes one off at once.
    def put(grams, now:)
      @lock.synchronize do
        advance(now)
        @load = [ @load + grams, 0.0 ].max
        @moved_at = now
      end
    end

    # Everything off, nothing wrong.
    def clear(now:)
      @lock.synchronize do
        @load = @shown = @zero = @rate = 0.0
        @fault = "none"
        @moved_at = @zeroed_at = @at = now
        @last = nil
      end
    end

    # @param fault [String] one of FAULTS
    def fault=(fault)
      @lock.synchronize { @fault = FAULTS.include?(fault) ? fault : "none" }
    end

    private

    def advance(now)
      passed = @at ? [ now - @at, 0 ].max : 0
      @load += @rate * passed
      @shown = @load + (@shown - @load) * Math.exp(-passed / LAG_S)
      @at = now
    end

    def settled?(now)
      @rate.zero? && (@shown - @load).abs < resolution_g / 2 && (@moved_at.nil? || now - @moved_at > SETTLES_S)
    end

    def drift(now) = @zeroed_at ? DRIFT_G_PER_MIN * (now - @zeroed_at) / 60.0 : 0.0

    def disturbance
      case fault
      when "noisy" then @random.rand(-6.0..6.0) * resolution_g
      when "jump" then @random.rand < 0.3 ? JUMP_G : 0.0
      else @rate.zero? ? 0.0 : @random.rand(-0.5..0.5) * resolution_g
      end
    end

    def round(grams) = ((grams / resolution_g).round * resolution_g).round(3)
  end
end
