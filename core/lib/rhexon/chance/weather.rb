module Rhexon
  module Chance
    # Drying in one run: the air of each local day is off by so much, so that every process runs faster or slower on
    # that day.
    class Weather
      # Draws are rounded to these steps, so that a rate is reckoned once for many runs.
      T_STEP_C = 0.5
      RH_STEP = 2.0

      # @param zone [Zone]
      # @param draws [Draws]
      def initialize(zone, draws)
        @zone = zone
        @t_key = draws.key("air/t")
        @rh_key = draws.key("air/rh")
        @draws = draws
        @t_sd_c = Reference.drying.chance.day_sd_c
        @rh_sd = Reference.drying.chance.day_sd_rh
        @speeds = {}
        @noons = {}.compare_by_identity
      end

      # Begins a run.
      def run=(run)
        @run = run
        @offsets = {}
        @of_run = {}.compare_by_identity
      end

      # @param process [Process]
      # @param from [Numeric] minute
      # @param needed [Float] reference minutes
      # @return [Float, nil] minute at which they have passed
      def reached(process, from, needed)
        60.times do
          day = @zone.day(from.floor)
          speed = speed(process, day)
          done = process.progress.reached(from, needed / speed) if speed.positive?
          return done if done && @zone.day(done.floor) == day

          midnight = @zone.end_of_day(from.floor)
          needed -= process.progress.between(from, midnight) * speed
          from = midnight
          return from if needed <= 0
        end
        process.progress.reached(from, needed)
      end

      # One kind of drying in one room.
      # @!attribute progress [Drying::Progress]
      # @!attribute line     [Drying::ClimateTimeline]
      # @!attribute rate     [Proc] (Drying::Climate) -> reference minutes a minute
      Process = Struct.new(:progress, :line, :rate)

      private

      # How many times as fast as planned a process runs on a day.
      def speed(process, day)
        days = @of_run[process] ||= {}
        days[day] ||= speed_of(process, day)
      end

      def speed_of(process, day)
        t, rh = @offsets[day] ||= [
          (@draws.normal(@t_key + day, @run) * @t_sd_c / T_STEP_C).round,
          (@draws.normal(@rh_key + day, @run) * @rh_sd / RH_STEP).round
        ]
        noon = (@noons[process] ||= {})[day] ||= process.line.at(day * 1440 + 720)
        @speeds[[ process.object_id, noon.t_c, noon.rh, t, rh ]] ||= ratio(process, noon, t * T_STEP_C, rh * RH_STEP)
      end

      def ratio(process, noon, t_c, rh)
        planned = process.rate.call(noon)
        return 1.0 if planned.zero?

        process.rate.call(
          Drying::Climate.new(t_c: (noon.t_c + t_c).clamp(-20, 60), rh: (noon.rh + rh).clamp(1, 100), air: noon.air)
        ) /
          planned
      end
    end
  end
end
