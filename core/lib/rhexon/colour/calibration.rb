module Rhexon
  module Colour
    # What a shop's own boards teach of its woods and products, so that the next predictions are nearer.
    module Calibration
      # @!attribute surface   [Fit::Result, nil] how its woods reflect under a film
      # @!attribute strengths [Hash{String=>Fit::Result}] by product: how strong it is against its figures
      Lessons = Struct.new(:surface, :strengths, keyword_init: true) do
        # @return [Hash{String=>Float}] "s" and "k2w", where boards showed enough
        def surface_shares = surface && used?(surface, "surface") ? surface.values : {}

        # @return [Hash{String=>Fit::Result}] those that boards showed enough of
        def used = strengths.select { |_, fit| used?(fit, "readings") }

        # A product as its boards taught.
        # @param record [Hash] a product of rhexon-shop/1
        # @return [Hash]
        def apply(record)
          fit = record["optics"] && used[record["id"]] or return record
          record.merge("optics" => record["optics"].merge(
            "strength" => (record["optics"]["strength"] || 1.0) * fit.values["strength"], "read" => fit.range
          ))
        end

        private

        def used?(fit, least)
          Reference.colour.taught.then do |table|
            fit.count >= table[least] && fit.before - fit.after >= table.nearer
          end
        end
      end

      module_function

      # @param boards [Array<Hash>] "wood" as it is named, "cells" [{"layers", "lab"}]: sound cells whose colour was
      #   read, D65
      # @param products [Hash{String=>Materials::Product}] by their sheets
      # @return [Lessons]
      def for(boards, products)
        cells = boards.flat_map { |board| known(board, products) }
        surface = surface(cells, products)
        shares = Surface.usual(Lessons.new(surface: surface, strengths: {}).surface_shares)
        stains = cells.filter_map { |cell| cell[:stain] }.uniq { |step| step["product"] }.map { |step| step["product"] }
        Lessons.new(
          surface: surface,
          strengths: stains.to_h { |id|
            [ id, strength(
              cells.select { |cell| cell[:stain] && cell[:stain]["product"] == id }, products, id, shares
            ) ]
          }.freeze
        ).freeze
      end

      # Cells that teach one thing at most: no stain or one, and nothing without colour figures. Alike cells of a
      # board count once, by their mean.
      def known(board, products)
        species = Wood.named(board["wood"]) or return []
        bare, laid = board["cells"].partition { |cell|
          cell["layers"].none? { |step| Work::Steps.lays?(step) }
        }
        wood = bare.any? ? Wood.read(species: species, lab: mean(bare)) : Wood.for_species(species)
        laid.group_by { |cell| cell["layers"] }.filter_map do |layers, alike|
          stains = layers.select { |step| step["kind"] == "stain" }
          if stains.size > 1 ||
              layers.any? do |step|
                step["product"] && !(products[step["product"]] && Optics.for(products[step["product"]]).known)
              end
            next
          end

          { wood: wood, bare: bare.any?, layers: layers, lab: mean(alike), stain: stains.first }
        end
      rescue InvalidInput
        []
      end
      private_class_method :known

      def mean(cells) = cells.map { |cell| cell["lab"] }.transpose.map { |channel| channel.sum / channel.size.to_f }
      private_class_method :mean

      def surface(cells, products)
        uncoloured = cells.select { |cell| cell[:bare] && cell[:stain].nil? }.first(
          Reference.colour.taught.most
        )
        return if uncoloured.empty?

        Fit.surface(uncoloured.map { |cell| cell[:lab] }) do |surface, index|
          uncoloured[index].then do |cell|
            Looks.new(cell[:wood], cell[:layers], products, surface: surface).final.look.lab
          end
        end
      end
      private_class_method :surface

      def strength(cells, products, id, surface)
        cells = cells.last(Reference.colour.taught.most)
        Fit.strength(cells.map { |cell|
          [ Looks.share(cell[:stain]) * 100, cell[:lab], cell ]
        }) do |strength, _, cell|
          Looks.new(cell[:wood], cell[:layers], products, surface: surface,
                                                          strengths: { id => strength }).final.look.lab
        end
      end
      private_class_method :strength
    end
  end
end
