require "matrix"

module Rhexon
  module Colour
    # A reflectance for a colour that was only read as L*a*b*: the smoothest that an eye cannot tell from it, shaped
    # by a known curve.
    # In terms of z, R = (tanh z + 1) / 2, so that it stays between 0 and 1: least squared slope of z - z(shape) under
    # the three equations of XYZ, by Newton's method on the Lagrangian, after Burns (2020), "Numerical methods for
    # smoothest reflectance reconstruction".
    module Reflectance
      MOST_STEPS = 60
      # Spectra found lately: a page shows the same readings again and again.
      @kept = Cache.new(400)
      CLOSE = 1e-7

      module_function

      # @param lab [Array(Numeric, Numeric, Numeric)]
      # @param light [Light] it was read in
      # @param shape [Array<Float>, nil] a reflectance whose course it should have
      # @return [Array<Float>] 31 values
      # @raise [InvalidInput] when no surface has that colour in that light
      def from_lab(lab, light, shape: nil)
        key = [ lab, light.id, shape ].freeze
        @kept.fetch(key) { found(lab, light, shape).freeze }
      end

      def found(lab, light, shape)
        wanted = Lab.xyz(lab, light.white)
        base = shape ? shape.map { |value| z_of(value) } : Array.new(Spectrum::NM.size, 0.0)
        z = start(base, wanted, light)
        multipliers = [ 0.0, 0.0, 0.0 ]
        MOST_STEPS.times do
          z, multipliers, moved = step(z, multipliers, base, wanted, light)
          return z.map { |value| r_of(value) } if moved < CLOSE
        end
        raise InvalidInput.new(
          "No surface has the colour L* #{lab.map { |value| value.round(1) }.join(", ")} in #{light.name}",
          where: "lab", accepted: "a colour that can be painted"
        )
      rescue ExceptionForMatrix::ErrNotRegular, FloatDomainError
        raise InvalidInput.new(
          "No surface has the colour L* #{lab.map { |value| value.round(1) }.join(", ")} in #{light.name}",
          where: "lab", accepted: "a colour that can be painted"
        )
      end

      private_class_method :found

      def z_of(value) = Math.atanh(2 * value.clamp(0.002, 0.998) - 1)
      private_class_method :z_of

      def r_of(z) = (Math.tanh(z) + 1) / 2
      private_class_method :r_of

      # The shape raised or lowered as a whole until it is about as light as wanted.
      def start(base, wanted, light)
        low, high = -6.0, 6.0
        40.times do
          middle = (low + high) / 2
          Spectrum.xyz(base.map { |value| r_of(value + middle) }, light)[1] > wanted[1] ? high = middle : low = middle
        end
        base.map { |value| value + low }
      end
      private_class_method :start

      def step(z, multipliers, base, wanted, light)
        size = z.size
        slope = z.map { |value| (1 - Math.tanh(value)**2) / 2 }
        bend = z.each_with_index.map { |value, index| -2 * Math.tanh(value) * slope[index] }
        pull = light.weights.transpose.map do |row|
          row.zip(multipliers).sum { |weight, multiplier| weight * multiplier }
        end
        rows = Array.new(size) do |i|
          Array.new(size) { |j| smooth(i, j, size) + (i == j ? pull[i] * bend[i] : 0.0) } +
            light.weights.map { |curve| curve[i] * slope[i] }
        end
        rows += light.weights.map { |curve| curve.zip(slope).map { |weight, rate| weight * rate } + [ 0.0, 0.0, 0.0 ] }
        missing = Spectrum.xyz(z.map { |value| r_of(value) }, light).zip(wanted).map { |has, wants| has - wants }
        gradient = Array.new(size) do |i|
          (0...size).sum { |j| smooth(i, j, size) * (z[j] - base[j]) } + pull[i] * slope[i]
        end
        change = Matrix.rows(rows).lup.solve(Vector.elements((gradient + missing).map { |value| -value })).to_a
        damped = [ 1.0, 2.0 / change.first(size).map(&:abs).max ].min
        [
          z.zip(change).map { |value, by| value + damped * by },
          multipliers.zip(change.last(3)).map { |value, by| value + damped * by },
          [ change.first(size).map(&:abs).max, missing.map(&:abs).max ].max
        ]
      end
      private_class_method :step

      # Second derivative of the summed squared slopes.
      def smooth(row, column, size)
        return (row.zero? || row == size - 1 ? 2.0 : 4.0) if row == column

        (row - column).abs == 1 ? -2.0 : 0.0
      end
      private_class_method :smooth
    end
  end
end
