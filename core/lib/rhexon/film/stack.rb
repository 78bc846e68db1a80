module Rhexon
  module Film
    # The running film on one face: layers from the wood up, colour in the wood below them.
    # A value: every operation returns another stack. Layers are never joined or forgotten; a layer sanded away stays
    # with 0 µm.
    class Stack
      # @!attribute texture_um [Float] of the surface: a coat sets it, levelling takes it away once
      # @!attribute pores_um   [Float] depth of the open pores that is filled
      attr_reader :wood, :layers, :coats_laid, :variance_um2, :texture_um, :pores_um

      # @param wood [String] absorption class of the face
      # @param arris [String] sharp, or eased_1mm to eased_3mm
      def initialize(wood:, arris: "sharp", layers: [], coats_laid: 0, variance_um2: 0.0, colour_in_wood: false,
                     sealer_sanded: false, texture_um: 0.0, pores_um: 0.0)
        @wood = wood
        @arris = arris
        @layers = layers.freeze
        @coats_laid = coats_laid
        @variance_um2 = variance_um2
        @colour_in_wood = colour_in_wood
        @sealer_sanded = sealer_sanded
        @texture_um = texture_um
        @pores_um = pores_um
        freeze
      end

      # Lay a film coat. Its dry film is cut by what the wood drinks.
      # @param method [String] how it is laid: sets the texture, and presses it into the pores or not
      # @param mixed_solids_percent [Numeric] solids by volume of the mix as applied
      # @param fused [Boolean] laid while the window of the coat below was open
      # @param coloured [Boolean] colourants are in the mix
      # @return [Stack]
      def coat(product, method:, pass:, wet_um:, mixed_solids_percent:, fused:, role: nil, coloured: false)
        share = Coat.surface_share(@wood, @coats_laid + 1, sealed_and_sanded: @sealer_sanded)
        dry = Coat.dry_um(wet_um, mixed_solids_percent) * share
        layer = Layer.new(pass: pass, product_id: product.id, um: dry, arris_um: dry * arris_share, laid_um: dry,
                          coloured: coloured || product.coloured?, opaque: product.colour == "pigmented",
                          redissolves: product.redissolves?, family: product.family, mechanism: product.mechanism,
                          way: MinimumThickness.way(product, method), bond_group: bond_group(product, fused),
                          sheen_gu: product.sheen_gu&.value, role: role).freeze
        with(layers: @layers + [ layer ], coats_laid: @coats_laid + 1,
             variance_um2: @variance_um2 + (dry * film_table.coat_sd)**2,
             texture_um: Abrasion.texture_um(method).to_f, pores_um: filled(dry, product, method))
      end

      # Colour goes into the wood (or lies on the film as a glaze) and builds nothing.
      # @return [Stack]
      def stain = with(colour_in_wood: true)

      # A pass of filler, or of a slurry of finish: so much of what is open is filled, and a part of that is lost again.
      # @return [Stack]
      def fill
        filler = film_table.filler
        with(pores_um: @pores_um + open_um * filler.fills * (1 - filler.loses))
      end

      # Oil goes below the surface: the next coat finds it drunk its fill, and nothing is built.
      # @return [Stack]
      def oil = with(coats_laid: @coats_laid + 1)

      # Back to the wood: all film goes, and stays in the pores.
      # @return [Stack]
      def cut_back = with(layers: @layers.map { |layer| layer.without(layer.um, layer.arris_um) }, texture_um: 0.0)

      # Take film off from the top down: r on the face, 1.3 r on the arris.
      # @param texture_um [Numeric] texture that is left
      # @return [Stack]
      def abrade(face_um, texture_um: [ @texture_um - face_um, 0.0 ].max)
        left_face = face_um.to_f
        left_edge = face_um * Abrasion.edge_factor
        kept = @layers.reverse.map do |layer|
          off_face = [ left_face, layer.um ].min
          off_edge = [ left_edge, layer.arris_um ].min
          left_face -= off_face
          left_edge -= off_edge
          layer.without(off_face, off_edge)
        end
        with(layers: kept.reverse, texture_um: texture_um,
             sealer_sanded: @sealer_sanded || (@coats_laid == 1 && @layers.last.role == "seal"),
             variance_um2: @variance_um2 + (face_um * film_table.removal_sd)**2)
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

      # Chance that an abrasion goes through to colour at the arris: what comes off there (1.3 r, sd 25 %) against
      # what lies over the colour (sd 15 % of what the edge carries of each coat).
      # Pigment of its own colour all through is gone through only where nothing hides it again: under clear, or at
      # the very top.
      # @param face_um [Numeric] off the face
      # @param hidden [Boolean] an opaque coat goes over it
      # @return [Hash{Symbol=>Float}, nil] chance, clear_um and taken_um at the arris; nil when there is no colour to
      #   go through to
      def sand_through(face_um, hidden:)
        over = over_colour(hidden) or return
        taken = face_um * Abrasion.edge_factor
        { chance: chance_through(taken, over), clear_um: over.sum(&:arris_um), taken_um: taken }
      end

      # @param taken_um [Numeric] off the arris
      # @param over [Array<Layer>] what lies there: all of the film, or what lies over the colour
      # @return [Float] chance that it goes through
      def chance_through(taken_um, over = layers)
        there = over.sum(&:arris_um)
        spread = Math.sqrt(
          (taken_um * film_table.removal_sd)**2 +
            over.sum { |layer| (layer.arris_um * film_table.arris_sd)**2 }
        )
        return taken_um > there ? 1.0 : 0.0 if spread.zero?

        Statistics::Normal.share((taken_um - there) / spread)
      end

      # @return [Float] share of the depth of the open pores that is filled, 0 to 1
      def pores_filled = @pores_um / pore_depth_um
      # @return [Float] how deep the pores of this wood are, µm
      def pore_depth_um = film_table.pore_depth_um.fetch(@wood).to_f
      # @return [String] open, half-filled or closed
      def pores = film_table.pore_words.find { |_, most| pores_filled < most - 1e-9 }&.first || "closed"

      # The topmost coats that bonded into one: what a rub-out may eat without showing rings.
      # @return [Hash{Symbol=>Object}, nil]
      def top_layer
        top = @layers.reverse.find(&:left?) or return
        group = @layers.select { |layer| layer.bond_group == top.bond_group }
        {
          um: group.sum(&:um), redissolves: top.redissolves, whole_film: group.sum(&:um) >= total_um,
          passes: group.map(&:pass)
        }
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
        melts || (fused && product.mechanism == below.mechanism) ? below.bond_group : below.bond_group + 1
      end

      # @return [Array<Layer>, nil] what lies over the colour
      def over_colour(hidden)
        top = @layers.reverse.find(&:left?)
        if top&.opaque
          return if hidden

          return @layers.reverse.drop_while { |layer| !layer.left? }.take_while { |layer|
            layer.product_id == top.product_id
          }
        end
        index = @layers.rindex { |layer| layer.coloured && layer.left? }
        @layers.drop(index ? index + 1 : 0) if index || @colour_in_wood
      end

      def arris_share = Abrasion.arris_share(@arris)
      def open_um = [ pore_depth_um - @pores_um, 0.0 ].max

      # Depth of the pores that is filled after a coat.
      def filled(dry, product, method)
        brushed_in = method == "brush" && (product.class_id == "epoxy_clear" || product.filler?)
        more = if brushed_in
          open_um * film_table.filler.brushed
        else
          dry * film_table.pore_share.fetch(method)
        end
        @pores_um + [ more, open_um ].min
      end

      def with(**changes)
        self.class
          .new(**{
            wood: @wood, arris: @arris, layers: @layers, coats_laid: @coats_laid, variance_um2: @variance_um2,
            colour_in_wood: @colour_in_wood, sealer_sanded: @sealer_sanded, texture_um: @texture_um,
            pores_um: @pores_um
          }.merge(changes))
      end

      def film_table = Reference.film
    end
  end
end
