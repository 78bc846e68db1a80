module Rhexon
  module Colour
    # Whether two colours that match by day also match by lamp.
    module Metamerism
      # @!attribute differences [Hash{String=>Float}] light id => CIEDE2000
      # @!attribute caution     [String, nil]
      Answer = Struct.new(:differences, :caution, keyword_init: true)

      module_function

      # @param reflectance [Array<Float>]
      # @param target [Array<Float>] reflectance
      # @param lamp [String, nil] id of the light of the place; nil: the lamp that tells most
      # @return [Answer]
      def for(reflectance, target, lamp: nil)
        differences = Light.all.to_h do |light|
          [ light.id, DeltaE.ciede2000(Spectrum.lab(target, light), Spectrum.lab(reflectance, light)) ]
        end
        limits = Reference.colour.metamer
        lamps = differences.except("D65", "D50")
        lamp, worst = lamp ? [ lamp, lamps.fetch(lamp, 0.0) ] : lamps.max_by { |_, difference| difference }
        tells = differences["D65"] <= limits.day && worst > limits.lamp
        Answer.new(
          differences: differences,
          caution: tells ? format("It matches by day (%.1f) and not under the %s (%.1f).", differences["D65"],
                                  Light.find(lamp).name.sub(/^./, &:downcase), worst) : nil
        ).freeze
      end
    end
  end
end
