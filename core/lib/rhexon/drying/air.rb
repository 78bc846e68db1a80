module Rhexon
  module Drying
    # Moist air. Saturation vapour pressure after Buck (1996), "Buck Research CR-1A user's manual", appendix 1.
    module Air
      module_function

      # @param t_c [Numeric] air temperature, °C
      # @return [Float] saturation vapour pressure over water, kPa
      def saturation_kpa(t_c)
        0.61121 * Math.exp((18.678 - t_c / 234.5) * t_c / (257.14 + t_c))
      end

      # Dew point in closed form: the same equation solved for temperature.
      # @param rh [Numeric] relative humidity, % (above 0)
      # @return [Float] dew point, °C
      def dew_point_c(t_c, rh)
        g = Math.log(saturation_kpa(t_c) * rh / 100.0 / 0.61121)
        b = 18.678 - g
        117.25 * (b - Math.sqrt(b * b - 4 * 257.14 * g / 234.5))
      end
    end
  end
end
