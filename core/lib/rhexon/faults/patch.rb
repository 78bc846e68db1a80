module Rhexon
  module Faults
    # A spot that is cut out and patched, foreseen: what its cut lays bare ring by ring, how far the new coat goes, and
    # which lines stay to be seen. Films that dissolve again melt together; all others show where one ends.
    #
    # Widths are estimates (core/data/faults.yml): a film is feathered so many millimetres for each micrometre.
    class Patch
      # A film that is cut aslant, from the inside out.
      # @!attribute from_mm, to_mm [Float] from the middle of the spot
      # @!attribute um      [Float] of the film
      # @!attribute product [String] id
      # @!attribute line    [Boolean] a line shows where it begins
      Ring = Struct.new(:from_mm, :to_mm, :um, :product, :line, keyword_init: true)

      attr_reader :rings, :spot_mm

      # @param film [Film::Stack] on the face
      # @param pass [String] key of the coat at fault: it and all over it are cut
      # @param spot_mm [Numeric] across the spot
      # @raise [InvalidInput]
      def initialize(film, pass:, spot_mm:)
        Rhexon.refuse_unless(
          spot_mm.is_a?(Numeric) && SPOT_MM.cover?(spot_mm), "A spot is so many mm across, not #{spot_mm.inspect}",
          where: "mm", accepted: "#{SPOT_MM.begin} to #{SPOT_MM.end}"
        )
        @spot_mm = spot_mm
        left = film.layers.select(&:left?)
        @cut = left.drop(left.index { |layer| layer.pass == pass } || 0)
        @below = left.first(left.size - @cut.size).last
        @rings = feathered
      end

      SPOT_MM = (1..2000)

      # @return [Boolean] it all melts together, and blends
      def blends?
        @cut.any? && @cut.all?(&:redissolves) && @cut.map(&:family).uniq.one?
      end

      # @return [Float] across what is cut
      def cut_mm = 2 * (rings.last&.to_mm || spot_mm / 2.0)

      # @return [Float] across the new coat
      def patch_mm = cut_mm + 2 * table.overlap_mm

      # @return [Integer] lines that stay to be seen in the end, the edge of the patch with them
      def lines = blends? ? 0 : rings.count(&:line) + 1

      # @return [String] what comes of it, and what is better
      def words
        across = "#{cut_mm.round} mm across once it is feathered out, #{patch_mm.round} mm with the new coat"
        return "#{across}: it melts together and blends." if blends?

        "#{across}: #{lines} #{lines == 1 ? "ring stays" : "rings stay"} to be seen. Scuff the whole of it to a " \
          "natural break, and lay the coat over all of it."
      end

      private

      def feathered
        at = spot_mm / 2.0
        below = @below
        @cut.map do |layer|
          line = below.nil? ? true : below.bond_group != layer.bond_group
          ring = Ring.new(from_mm: at, to_mm: at + layer.um * table.feather_mm_per_um, um: layer.um.round(1),
                          product: layer.product_id, line: line)
          at = ring.to_mm
          below = layer
          ring
        end
      end

      def table = Reference.faults.patch
    end
  end
end
