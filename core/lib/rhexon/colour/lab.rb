module Rhexon
  module Colour
    # CIE L*a*b* (D65) to what a screen can show.
    module Lab
      WHITE_D65 = [ 95.047, 100.0, 108.883 ].freeze
      # XYZ (D65) to linear sRGB, IEC 61966-2-1.
      TO_SRGB = [ [ 3.2404542, -1.5371385, -0.4985314 ], [ -0.9692660, 1.8760108, 0.0415560 ], [ 0.0556434, -0.2040259, 1.0572252 ] ].freeze

      module_function

      # @param lab [Array(Numeric, Numeric, Numeric)] L* 0-100, a*, b*
      # @return [String] "#rrggbb", clipped to sRGB
      def hex(lab)
        "#" + TO_SRGB.map { |row| channel(row.zip(xyz(lab)).sum { |factor, value| factor * value / 100 }) }.map { |byte| format("%02x", byte) }.join
      end

      def xyz((l, a, b))
        fy = (l + 16) / 116.0
        [ fy + a / 500.0, fy, fy - b / 200.0 ].zip(WHITE_D65).map { |f, white| white * (f > 6 / 29.0 ? f**3 : 3 * (6 / 29.0)**2 * (f - 4 / 29.0)) }
      end

      def channel(linear)
        value = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear**(1 / 2.4) - 0.055
        (value.clamp(0, 1) * 255).round
      end
      private_class_method :channel
    end
  end
end
