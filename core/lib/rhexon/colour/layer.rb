module Rhexon
  module Colour
    # Kubelka and Munk: what a layer makes of what lies below it. Reflectances inside the film (Ri), absorption K and
    # scatter S a unit of thickness.
    module Layer
      LEAST, MOST = 0.005, 0.995
      THIN = 1e-8

      module_function

      # K/S of an opaque ground from its reflectance.
      # @param inside [Float] Ri, held to 0.005 to 0.995
      def q(inside) = inside.clamp(LEAST, MOST).then { |r| (1 - r)**2 / (2 * r) }

      # And back, in the form that keeps its digits when q is large.
      def ground(q) = 1 / (1 + q + Math.sqrt(q**2 + 2 * q))

      # Two-flux layer over a ground.
      # @param below [Float] Ri of what is below
      # @param k, s [Float] a µm
      # @param thickness [Float] µm
      # @return [Float] Ri on top of the layer
      def over(below, k:, s:, thickness:)
        return below if thickness.zero?
        return below * Math.exp(-2 * k * thickness) if s * thickness < THIN
        return (below + (1 - below) * s * thickness) / (1 + (1 - below) * s * thickness) if k * thickness < THIN

        a = (s + k) / s
        b = Math.sqrt(a**2 - 1)
        # b coth(bSX), by the hyperbolic tangent so that thick layers do not overflow.
        bcoth = b / Math.tanh(b * s * thickness)
        (1 - below * (a - bcoth)) / (a - below + bcoth)
      end
    end
  end
end
