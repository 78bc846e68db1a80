module Rhexon
  module Picture
    # The air of a room over a stretch of time, ready to draw: each value from its minute on.
    module AirLine
      Air = Struct.new(:from, :t_c, :rh, :air, keyword_init: true)
      # More changes than this are thinned out: a line is drawn no finer.
      MOST = 240

      module_function

      # @param line [Drying::ClimateTimeline]
      # @return [Array<Air>]
      def for(line, from, to)
        points = []
        minute = from
        step = [ (to - from) / MOST, 1 ].max
        while minute && minute < to
          climate = line.at(minute)
          points << Air.new(from: minute, t_c: climate.t_c.round(1), rh: climate.rh.round, air: climate.air)
          following = line.change_after(minute)
          minute = following && [ following, minute + step ].max
        end
        points
      end
    end
  end
end
