module Rhexon
  module Colour
    # Colour difference CIEDE2000, after Sharma, Wu and Dalal (2005), "The CIEDE2000 color-difference formula",
    # Color Research and Application 30 (1); kL = kC = kH = 1.
    module DeltaE
      module_function

      # @param one [Array(Numeric, Numeric, Numeric)] L*, a*, b*
      # @param other [Array(Numeric, Numeric, Numeric)] of the same light and eye
      # @return [Float] 0 for the same colour; below 1 is not seen
      def ciede2000(one, other)
        l1, a1, b1 = one
        l2, a2, b2 = other
        c_mean7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2)**7
        g = 0.5 * (1 - Math.sqrt(c_mean7 / (c_mean7 + 25.0**7)))
        c1, h1 = polar((1 + g) * a1, b1)
        c2, h2 = polar((1 + g) * a2, b2)
        weigh(l1, l2, c1, c2, h1, h2)
      end

      # CIE 1976: the plain distance.
      # @return [Float]
      def cie76(one, other) = Math.sqrt(one.zip(other).sum { |a, b| (a - b)**2 })

      # @return [String] in words (estimates)
      def label(delta)
        Reference.colour.words.find { |limit, _| delta < limit }&.last || "another colour"
      end

      def polar(a, b) = [ Math.hypot(a, b), a.zero? && b.zero? ? 0.0 : Math.atan2(b, a) * 180 / Math::PI % 360 ]
      private_class_method :polar

      def weigh(l1, l2, c1, c2, h1, h2)
        dh = 2 * Math.sqrt(c1 * c2) * sin(hue_step(c1, c2, h1, h2) / 2)
        l_mean = (l1 + l2) / 2.0
        c_mean = (c1 + c2) / 2
        h_mean = mean_hue(c1, c2, h1, h2)
        t = 1 - 0.17 * cos(h_mean - 30) + 0.24 * cos(2 * h_mean) + 0.32 * cos(3 * h_mean + 6) -
          0.20 * cos(4 * h_mean - 63)
        sl = 1 + 0.015 * (l_mean - 50)**2 / Math.sqrt(20 + (l_mean - 50)**2)
        rotation = -2 * Math.sqrt(c_mean**7 / (c_mean**7 + 25.0**7)) * sin(60 * Math.exp(-((h_mean - 275) / 25)**2))
        lightness, chroma, hue = (l2 - l1) / sl, (c2 - c1) / (1 + 0.045 * c_mean), dh / (1 + 0.015 * c_mean * t)
        Math.sqrt(lightness**2 + chroma**2 + hue**2 + rotation * chroma * hue)
      end
      private_class_method :weigh

      def hue_step(c1, c2, h1, h2)
        return 0.0 if (c1 * c2).zero?

        step = h2 - h1
        step.abs <= 180 ? step : step - 360 * (step <=> 0)
      end
      private_class_method :hue_step

      def mean_hue(c1, c2, h1, h2)
        return h1 + h2 if (c1 * c2).zero?
        return (h1 + h2) / 2 if (h1 - h2).abs <= 180

        (h1 + h2 < 360 ? h1 + h2 + 360 : h1 + h2 - 360) / 2
      end
      private_class_method :mean_hue

      def sin(degrees) = Math.sin(degrees * Math::PI / 180)
      private_class_method :sin

      def cos(degrees) = Math.cos(degrees * Math::PI / 180)
      private_class_method :cos
    end
  end
end
