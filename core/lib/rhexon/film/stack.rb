module Rhexon
  module Film
    # The running film on one face: layers from the wood up, colour in the wood below them.
    # A value: every operation returns another stack. Layers are never joined or forgotten; a layer sanded away stays with 0 µm.
    class Stack
      attr_reader :layers, :coats_laid, :variance_um2

      # @param wood [String] absorption class of the face
      # @param arris [String] sharp, eased_2mm or eased_3mm
      def initialize(wood:, arris: "sharp", layers: [], coats_laid: 0, variance_um2: 0.0, colour_in_wood: false, sealer_sanded: false)
        @wood = wood
        @arris = arris
        @layers = layers.freeze
        @coats_laid = coats_laid
        @variance_um2 = variance_um2
        @colour_in_wood = colour_in_wood
        @sealer_sanded = sealer_sanded
        freeze
      end

      # Lay a film coat. Its dry film is cut by what the wood drinks.
      # @param mixed_solids_percent [Numeric] solids by volume of the mix as applied
      # @param fused [Boolean] laid while the window of the coat below was open
      # @return [Stack]
      def coat(product, pass:, wet_um:, mixed_solids_percent:, fused:, role: nil)
        share = Coat.surface_share(@wood, @coats_laid + 1, sealed_and_sanded: @sealer_sanded)
        dry = Coat.dry_um(wet_um, mixed_solids_percent) * share
        layer = Layer.new(pass: pass, product_id: product.id, um: dry, arris_um: dry * Abrasion.arris_share(@arris), laid_um: dry,
                          coloured: product.coloured?, opaque: product.colour == "pigmented", redissolves: product.redissolves?, family: product.family,
                          bond_group: bond_group(product, fused), sheen_gu: product.sheen_gu&.value, role: role).freeze
        with(layers: @layers + [ layer ], coats_laid: @coats_laid + 1, variance_um2: @variance_um2 + (dry * film_table.fetch("coat_sd"))**2)
      end

      # Colour goes into the wood (or lies on the film as a glaze): it builds nothing.
      def stain = with(colour_in_wood: true)

      # Take film off from the top down: r on the face, 1.3 r on the arris.
      # @return [Stack]
      def abrade(face_um)
        left_face = face_um.to_f
        left_edge = face_um * Abrasion.edge_factor
        kept = @layers.reverse.map do |layer|
          off_face = [ left_face, layer.um ].min
          off_edge = [ left_edge, layer.arris_um ].min
          left_face -= off_face
          left_edge -= off_edge
          layer.without(off_face, off_edge)
        end
        with(layers: kept.reverse, sealer_sanded: @sealer_sanded || (@coats_laid == 1 && @layers.last.role == "seal"),
             variance_um2: @variance_um2 + (face_um * film_table.fetch("removal_sd"))**2)
      end

      # @return [Float] µm
      def total_um = @layers.sum(&:um)
      def sd_um = Math.sqrt(@variance_um2)

      # Clear film above the topmost colour (in a film or in the wood), µm on the face and on the arris.
      # @return [Hash{Symbol=>Float}, nil] nil when nothing is coloured, or a pigmented film is on top
      def clear_over_colour
        index = @layers.rindex { |layer| layer.coloured && layer.left? }
        return nil unless index || @colour_in_wood
        return nil if @layers.reverse.find(&:left?)&.opaque

        above = @layers.drop(index ? index + 1 : 0)
        { face_um: above.sum(&:um), arris_um: above.sum(&:arris_um) }
      end

      # The topmost coats that bonded into one: what a rub-out may eat without showing rings.
      # @return [Hash{Symbol=>Object}, nil]
      def top_layer
        top = @layers.reverse.find(&:left?) or return
        group = @layers.select { |layer| layer.bond_group == top.bond_group }
        { um: group.sum(&:um), redissolves: top.redissolves, whole_film: group.sum(&:um) >= total_um, passes: group.map(&:pass) }
      end

      # @param least_um [Numeric]
      # @return [Float] chance that the film is under the least, by a normal of the stated sd
      def chance_under(least_um)
        return total_um < least_um ? 1.0 : 0.0 if sd_um.zero?

        0.5 * Math.erfc((total_um - least_um) / (sd_um * Math.sqrt(2)))
      end

      private

      def bond_group(product, fused)
        below = @layers.last
        return (below&.bond_group || 0) + 1 unless below

        melts = product.family && product.family == below.family
        melts || fused ? below.bond_group : below.bond_group + 1
      end

      def with(**changes)
        self.class.new(**{ wood: @wood, arris: @arris, layers: @layers, coats_laid: @coats_laid, variance_um2: @variance_um2,
                           colour_in_wood: @colour_in_wood, sealer_sanded: @sealer_sanded }.merge(changes))
      end

      def film_table = Reference.table("film")
    end
  end
end
