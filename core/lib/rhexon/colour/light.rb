module Rhexon
  module Colour
    # A light by its spectrum, relative power at Spectrum::NM.
    # @!attribute model [Boolean] a modelled lamp, no measured or standard one
    Light = Struct.new(:id, :name, :power, :model, keyword_init: true) do
      class << self
        # @return [Array<Light>] in the order they are offered
        def all = table.lights.keys.map { |id| find(id) }

        # @raise [InvalidInput]
        def find(id)
          @known ||= {}
          @known[id] ||= begin
            record = table.lights[id] or
              raise InvalidInput.new(
                "The light #{id.inspect} is not known", where: "light",
                accepted: table.lights.keys.join(", ")
              )
            new(id: id, name: record.fetch("name"), power: power(record).freeze, model: record["model"] || false).freeze
          end
        end

        private

        def table = Reference.lights

        def power(record)
          return daylight(record["daylight_k"]) if record["daylight_k"]
          return planck(record["planck_k"]) if record["planck_k"]

          Spectrum::NM.map { |nm| Spectrum.lobes(record.fetch("lobes"), nm) }
        end

        # CIE 15: chromaticity of a daylight phase, then the weights of S1 and S2 (to three places, as CIE gives
        # them).
        # @param kelvin [Numeric] 4000 to 25000
        def daylight(kelvin)
          t = 1000.0 / kelvin
          x = if kelvin <= 7000
            -4.6070 * t**3 + 2.9678 * t**2 + 0.09911 * t + 0.244063
          else
            -2.0064 * t**3 + 1.9018 * t**2 + 0.24748 * t + 0.237040
          end
          y = -3.000 * x**2 + 2.870 * x - 0.275
          m = 0.0241 + 0.2562 * x - 0.7341 * y
          m1, m2 = ((-1.3515 - 1.7703 * x + 5.9114 * y) /
            m).round(3), ((0.0300 - 31.4424 * x + 30.0717 * y) / m).round(3)
          s0, s1, s2 = table.daylight.to_a
          s0.zip(s1, s2).map { |a, b, c| a + m1 * b + m2 * c }
        end

        # CIE 15: illuminant A, 100 at 560 nm.
        def planck(kelvin)
          Spectrum::NM.map do |nm|
            100 * (560.0 / nm)**5 * (Math.exp(1.435e7 / (kelvin * 560)) - 1) / (Math.exp(1.435e7 / (kelvin * nm)) - 1)
          end
        end
      end

      # XYZ of the perfect white, Y = 100.
      # @return [Array(Float, Float, Float)]
      def white = @white ||= Spectrum.xyz(Array.new(Spectrum::NM.size, 1.0), self)

      # Weights that turn a reflectance into XYZ: the eye times the light, Y of the perfect white 100.
      # @return [Array<Array<Float>>] 3 x 31
      def weights
        @weights ||= begin
          whole = 100 / power.zip(Spectrum.eye[1]).sum { |light, y| light * y }
          Spectrum.eye.map { |curve| curve.zip(power).map { |eye, light| whole * eye * light } }
        end
      end

      # Values that are worked out once, before it is frozen.
      def freeze
        weights
        white
        super
      end
    end
  end
end
