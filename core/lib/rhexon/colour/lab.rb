module Rhexon
  module Colour
    # CIE L*a*b* 1976 from XYZ and back, and what a screen can show of it (sRGB, IEC 61966-2-1).
    module Lab
      WHITE_D65 = [ 95.047, 100.0, 108.883 ].freeze
      # XYZ (D65) to linear sRGB.
      TO_SRGB = [
        [ 3.2404542, -1.5371385, -0.4985314 ], [ -0.9692660, 1.8760108, 0.0415560 ],
        [ 0.0556434, -0.2040259, 1.0572252 ]
      ].freeze
      FROM_SRGB = [
        [ 0.4124564, 0.3575761, 0.1804375 ], [ 0.2126729, 0.7151522, 0.0721750 ], [ 0.0193339, 0.1191920, 0.9503041 ]
      ].freeze
      # Bradford cone responses and back, as in Lam (1985) and ICC.1.
      CONES = [ [ 0.8951, 0.2664, -0.1614 ], [ -0.7502, 1.7135, 0.0367 ], [ 0.0389, -0.0685, 1.0296 ] ].freeze
      CONES_BACK = [
        [ 0.9869929, -0.1470543, 0.1599627 ], [ 0.4323053, 0.5183603, 0.0492912 ], [ -0.0085287, 0.0400428, 0.9684867 ]
      ].freeze
      EDGE = 6 / 29.0
      # Rounding of the two matrices is not out of gamut.
      SLACK = 0.002

      module_function

      # @param value [Object] what was given as L*a*b*
      # @return [Array<Float>]
      # @raise [InvalidInput] unless it is three numbers in their ranges
      def check(value)
        ok = value.is_a?(Array) && value.size == 3 && value.all?(Numeric) && value[0].between?(0, 100) &&
          value.drop(1).all? { |axis| axis.between?(-128, 127) }
        Rhexon.refuse_unless(
          ok, "That is not a colour reading", where: "lab", accepted: "L* 0 to 100, a* and b* -128 to 127"
        )
        value.map(&:to_f)
      end

      # @param xyz [Array(Numeric, Numeric, Numeric)]
      # @param white [Array(Numeric, Numeric, Numeric)] XYZ of the light's white
      # @return [Array(Float, Float, Float)]
      def of_xyz(xyz, white)
        fx, fy, fz = xyz.zip(white).map { |value, whole|
          (t = value / whole.to_f) > EDGE**3 ? Math.cbrt(t) : t / (3 * EDGE**2) + 4 / 29.0
        }
        [ 116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz) ]
      end

      # @param lab [Array(Numeric, Numeric, Numeric)]
      # @return [Array(Float, Float, Float)]
      def xyz(lab, white = WHITE_D65)
        l, a, b = lab
        fy = (l + 16) / 116.0
        [ fy + a / 500.0, fy, fy - b / 200.0 ].zip(white).map do |f, whole|
          whole * (f > EDGE ? f**3 : 3 * EDGE**2 * (f - 4 / 29.0))
        end
      end

      # @param lab [Array(Numeric, Numeric, Numeric)] L* 0-100, a*, b*, against its own light's white: the screen's
      #   white stands for that
      # @return [String] "#rrggbb", clipped to sRGB
      def hex(lab) = bytes(linear(xyz(lab)))

      # Seen under a light and shown on a screen: the light's white becomes the screen's.
      # @return [Array(String, Boolean)] "#rrggbb", and whether sRGB holds it
      def screen(xyz, white)
        rgb = linear(adapted(xyz, white))
        [ bytes(rgb), rgb.all? { |value| value.between?(-SLACK, 1 + SLACK) } ]
      end

      # Bradford, from a white to D65.
      def adapted(xyz, white)
        gain = times(CONES, WHITE_D65).zip(times(CONES, white)).map { |to, from| to / from }
        times(CONES_BACK, times(CONES, xyz).zip(gain).map { |value, factor| value * factor })
      end

      # @param rgb [Array(Float, Float, Float)] linear sRGB, 0 to 1
      # @return [Array(Float, Float, Float)] XYZ, D65, Y = 100 for white
      def srgb_xyz(rgb) = times(FROM_SRGB, rgb).map { |value| value * 100 }

      def linear(xyz) = times(TO_SRGB, xyz).map { |value| value / 100 }
      private_class_method :linear

      def times(matrix, vector) = matrix.map { |row| row.zip(vector).sum { |factor, value| factor * value } }
      private_class_method :times

      def bytes(rgb) = "#" + rgb.map { |value| format("%02x", channel(value)) }.join
      private_class_method :bytes

      def channel(linear)
        value = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear**(1 / 2.4) - 0.055
        (value.clamp(0, 1) * 255).round
      end
      private_class_method :channel
    end
  end
end
