module Rhexon
  module Colour
    # A colour under a light.
    # @!attribute reflectance [Array<Float>]
    # @!attribute light [Light]
    Look = Struct.new(:reflectance, :light) do
      def xyz = @xyz ||= Spectrum.xyz(reflectance, light)
      def lab = @lab ||= Lab.of_xyz(xyz, light.white)

      # @return [String] "#rrggbb" with the light's white as the screen's
      def hex = screen.first
      def in_gamut? = screen.last

      # @param other [Array<Numeric>] L*a*b* in the same light
      def delta_e(other) = DeltaE.ciede2000(other, lab)

      # @return [Look] the same surface in another light
      def under(other) = self.class.new(reflectance, other)

      private

      def screen = @screen ||= Lab.screen(xyz, light.white)
    end
  end
end
