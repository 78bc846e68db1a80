module Rhexon
  module Colour
    # What a product does to light: absorption K (and scatter S of a pigment) at Spectrum::NM.
    # A stain's are for its stock strength in mean wood; a film's are a µm of dry film.
    # @!attribute kind  [String] dye, pigment or film
    # @!attribute known [Boolean] false: neither the product nor its class has colour figures
    # @!attribute ageing [Float] what a year multiplies a clear film's absorption by
    # @!attribute read [Array(Numeric, Numeric), nil] share of stock strength, %, that was read on the shop's boards
    Optics = Struct.new(:kind, :k, :s, :known, :ageing, :read, keyword_init: true) do
      class << self
        # @param product [Materials::Product]
        # @return [Optics] made once for a product: a recipe asks for it thousands of times
        def for(product) = (@of ||= ObjectSpace::WeakMap.new)[product] ||= made(product)

        # @param bands [Array<Array(Numeric, Numeric, Numeric)>] centre and width, nm, and strength
        # @return [Array<Float>] at Spectrum::NM
        def bands(bands)
          Spectrum::NM.map do |nm|
            bands.sum { |centre, width, strength| strength * Math.exp(-0.5 * ((nm - centre) / width.to_f)**2) }
          end
        end

        private

        def made(product)
          given = product.optics
          return stated(given, product) if given
          return clear(product) if product.film? && product.colour != "pigmented" && product.colour != "tinted"

          new(kind: product.film? ? "film" : "dye", k: none, s: none, known: false, ageing: 1.0).freeze
        end

        # @param record [Hash] "kind", "bands" [[nm, width, strength]] or "k" [31], "s" number or [31]; "strength" and
        #   "read" as the shop's boards taught
        def stated(record, product)
          strength = record["strength"] || 1.0
          k, s = [ curve(record["k"], record["bands"]), scatter(record["s"]) ].map { |values|
            values.map { |value| value * strength }
          }
          new(kind: record["kind"] || (product.film? ? "film" : "dye"), k: k, s: s, known: true,
              ageing: record["ageing"] || 1.0, read: record["read"]).freeze
        end

        def none = Array.new(Spectrum::NM.size, 0.0)

        def curve(values, bands)
          values ? values.map(&:to_f) : bands(bands || [])
        end

        def scatter(value) = value.is_a?(Array) ? value.map(&:to_f) : Array.new(Spectrum::NM.size, value.to_f)

        # A clear film by its class: yellow as its kind is.
        def clear(product)
          amber = Reference.colour.amber
          strength, ageing = amber.classes.fetch(product.class_id, [ 0.0, 1.0 ])
          new(kind: "film",
              k: Spectrum::NM.map { |nm| strength * Math.exp(-(nm - 400) / amber.fall_nm.to_f) },
              s: none, known: true, ageing: ageing).freeze
        end
      end

      # After years in the light: a clear film's yellow grows with them, and slows down.
      # @param years [Numeric]
      def aged(years)
        if years.zero? || ageing == 1.0
          self
        else
          dup.tap { |older|
            older.k = k.map { |value|
              value * (1 + (ageing - 1) * (1 - Math.exp(-years)) / (1 - Math.exp(-1)))
            }
          }.freeze
        end
      end
    end
  end
end
