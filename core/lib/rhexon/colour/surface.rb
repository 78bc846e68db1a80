module Rhexon
  module Colour
    # What a surface adds: bare wood reflects at its own dry surface, a film at its top (Saunderson, n = 1.5).
    # Estimates where the shop has no boards that say otherwise.
    # @!attribute s   [Float] share that bare, sanded wood reflects at its surface
    # @!attribute k2w [Float] share of the light inside that bare wood throws back in
    # @!attribute k1, k2 [Float] the same two of a film
    Surface = Struct.new(:s, :k2w, :k1, :k2, keyword_init: true) do
      # @param fitted [Hash] "s" and "k2w" from the shop's own boards
      def self.usual(fitted = {})
        table = Reference.colour.surface
        new(s: fitted["s"] || table.s, k2w: fitted["k2w"] || table.k2w, k1: table.k1,
            k2: table.k2).freeze
      end

      # Bare reflectance to the inside.
      # @param reflectance [Array<Float>]
      # @param lowest [Float] least reflectance of the bare wood, where it is stained by now
      # @return [Array<Float>] Ri
      def into(reflectance, lowest: reflectance.min)
        dry = dry_share(lowest)
        reflectance.map { |r| ([ r - dry, 1e-4 ].max / (1 - dry)).then { |inner| inner / ((1 - k2w) + k2w * inner) } }
      end

      # The inside of bare (stained, not coated) wood as it is seen.
      # @param lowest [Float] least reflectance of the bare wood, as it was read
      def bare(inside, lowest)
        dry_share(lowest).then { |dry| inside.map { |ri| dry + (1 - dry) * (1 - k2w) * ri / (1 - k2w * ri) } }
      end

      # Under a film: applied once, at the very top. Flatted films scatter part of what a gloss film mirrors away.
      # @param gu [Float] gloss at 60 degrees
      # @param mirrored [Boolean] the instrument includes gloss
      def coated(inside, gu: 90.0, mirrored: false)
        share = mirrored ? 1.0 : flat_share(gu)
        inside.map { |ri| (1 - k1) * (1 - k2) * ri / (1 - k2 * ri) + k1 * share }
      end

      # The inside of what is coated already, from how it is seen.
      def under_film(reflectance, gu: 90.0, mirrored: false)
        top = k1 * (mirrored ? 1.0 : flat_share(gu))
        reflectance.map { |r| [ r - top, 1e-4 ].max.then { |ro| ro / ((1 - k1) * (1 - k2) + k2 * ro) } }
      end

      private

      # At most half of the lowest reflectance, so that nothing falls below zero.
      def dry_share(lowest) = [ s, lowest / 2 ].min

      def flat_share(gu)
        (1 - gu / Reference.colour.gloss_gu.to_f).clamp(0.0, 1.0) *
          Reference.colour.flat_scatter
      end
    end
  end
end
