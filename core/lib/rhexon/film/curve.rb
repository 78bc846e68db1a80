module Rhexon
  module Film
    # Height of a coat while it dries, for the drawing: from wet film on the surface to dry film,
    # dry + (wet - dry) · exp(-3 p), p the progress to touch; cut at p = 2.
    module Curve
      POINTS = 24
      CUT = 2.0

      module_function

      # @param laid_at [Integer] minute the coat was on (work_end)
      # @param touch_min [Numeric] minutes to touch in this shop
      # @param wet_um [Numeric] wet film that lies on the surface, µm
      # @param dry_um [Numeric] µm
      # @return [Array<Array(Integer, Float)>] at most 24 pairs [minute, µm above the film below], times rising
      def points(laid_at, touch_min, wet_um, dry_um)
        last = POINTS - 1
        (0..last).map do |index|
          progress = CUT * (index.to_f / last)**2
          height = index == last ? dry_um : dry_um + (wet_um - dry_um) * Math.exp(-3 * progress)
          [ (laid_at + progress * touch_min).round, height.round(1) ]
        end.uniq(&:first)
      end
    end
  end
end
