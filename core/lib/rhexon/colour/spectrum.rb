module Rhexon
  module Colour
    # Reflectance spectra, 400 to 700 nm every 10 nm (31 values, 0 to 1), and what an eye makes of them under a light.
    module Spectrum
      NM = (400..700).step(10).to_a.freeze

      module_function

      # @param values [Object]
      # @return [Array<Float>]
      # @raise [InvalidInput] unless they are 31 numbers from 0 to 1
      def check(values, where: "reflectance")
        ok = values.is_a?(Array) && values.size == NM.size &&
          values.all? { |value| value.is_a?(Numeric) && value.between?(0, 1) }
        Rhexon.refuse_unless(
          ok, "That is no reflectance", where: where,
          accepted: "#{NM.size} numbers from 0 to 1, for 400 to 700 nm every 10 nm"
        )
        values.map(&:to_f)
      end

      # @param reflectance [Array<Float>]
      # @param light [Light]
      # @return [Array(Float, Float, Float)] X, Y, Z; the perfect white has Y = 100
      def xyz(reflectance, light)
        x = y = z = 0.0
        across, level, short = light.weights
        index = 0
        while index < reflectance.size
          value = reflectance[index]
          x += across[index] * value
          y += level[index] * value
          z += short[index] * value
          index += 1
        end
        [ x, y, z ]
      end

      # @return [Array(Float, Float, Float)] L*, a*, b* against the white of the light
      def lab(reflectance, light) = Lab.of_xyz(xyz(reflectance, light), light.white)

      # Colour matching functions of the CIE 1931 2 degree eye, by the fit of Wyman, Sloan and Shirley (2013).
      # @return [Array<Array<Float>>] x, y, z
      def eye
        @eye ||= %w[x y z]
          .map { |curve| NM.map { |nm| lobes(Reference.lights.eye.fetch(curve), nm) }.freeze }.freeze
      end

      # A sum of lobes, each a bell with its own width on either side.
      # @param lobes [Array<Array(Numeric, Numeric, Numeric, Numeric)>] weight, centre nm, width below, width above
      def lobes(lobes, nm)
        lobes.sum do |weight, centre, below, above|
          weight * Math.exp(-0.5 * ((nm - centre) / (nm < centre ? below : above).to_f)**2)
        end
      end
    end
  end
end
