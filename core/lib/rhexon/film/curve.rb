module Rhexon
  module Film
    # Height of a coat while it dries, for the drawing: from wet film on the surface to dry film,
    # dry + (wet - dry) · exp(-3 p), p the progress to touch; cut at p = 2.
    module Curve
      POINTS = 24
      CUT = 2.0

      module_function

      # @param laid_at [Integer] minute the coat was on (work_end)
      # @param minute_at [Proc] (share of the way to touch) -> minute, rising; in changing air the film rests in the
      #   cold
      # @param wet_um [Numeric] wet film that lies on the surface, µm
      # @param dry_um [Numeric] µm
      # @return [Array<Array(Integer, Float)>] at most 24 pairs [minute, µm above the film below], times rising
      def points(laid_at, minute_at, wet_um, dry_um)
        last = POINTS - 1
        points = (0..last).map do |index|
          progress = CUT * (index.to_f / last)**2
          height = index == last ? dry_um : dry_um + (wet_um - dry_um) * Math.exp(-3 * progress)
          [ index.zero? ? laid_at : minute_at.call(progress).round, height.round(1) ]
        end
        # Of points in one minute the later stands, but for the wet one.
        [ points.first, *points.drop(1).reverse.uniq(&:first).reverse.reject { |minute, _| minute <= laid_at } ]
      end
    end
  end
end
