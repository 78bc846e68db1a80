module Rhexon
  module Colour
    # How a colour is off its target, in numbers and in words.
    # @!attribute lightness, chroma, hue [Float] what is seen less what is wanted; hue as a distance (CIE 1976)
    # @!attribute parts [Array<Array(Float, String)>] directions that can be seen, the largest first
    Cast = Struct.new(:lightness, :chroma, :hue, :parts, keyword_init: true) do
      # @param lab [Array<Numeric>] as it is
      # @param target [Array<Numeric>] as it should be, in the same light
      # @return [Cast]
      def self.for(lab, target)
        lightness, a, b = lab.zip(target).map { |is, wanted| is - wanted }
        chroma = Math.hypot(*lab.drop(1)) - Math.hypot(*target.drop(1))
        hue = Math.sqrt([ a**2 + b**2 - chroma**2, 0 ].max)
        parts = [
          [ a.abs, a.positive? ? "red" : "green" ], [ b.abs, b.positive? ? "yellow" : "blue" ],
          [ lightness.abs, lightness.positive? ? "pale" : "dark" ]
        ]
        seen = Reference.colour.seen
        new(lightness: lightness, chroma: chroma, hue: hue,
            parts: parts.select { |size, _| size >= seen }.sort_by { |size, _| -size }).freeze
      end

      # @return [String] "6 too green, 3 too dark"
      def label
        if parts.empty?
          "no cast that is seen"
        else
          parts.map { |size, direction| "#{size.round} too #{direction}" }.join(", ")
        end
      end
    end
  end
end
