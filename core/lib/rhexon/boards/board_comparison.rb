module Rhexon
  module Boards
    # How what was tried on a board differs from what is planned, so far as it bears on the look.
    module BoardComparison
      # @!attribute kind  [String] timber, preparation, colour, film or method
      # @!attribute words [String] "sprayed there, brushed here"
      # @!attribute step  [String, nil] id of the planned step
      # @!attribute there [Hash, nil] the board's step
      Difference = Struct.new(:kind, :words, :step, :there, keyword_init: true)
      # Another combination, not the same one done otherwise.
      OTHER = %w[colour film].freeze

      module_function

      # @param layers [Array<Hash>] the cell's steps
      # @param steps [Array<Hash>] planned on the shown face
      # @param products [Hash{String=>Materials::Product}]
      # @param timber [Array(String, String)] named on the board and on the piece; nil where not stated
      # @return [Array<Difference>]
      def differences(layers, steps, products:, timber: [ nil, nil ])
        there, here = [ layers, steps ].map { |list| list.select { |step| Work::Steps.lays?(step) } }
        [ *wood(*timber), *preparation(layers, steps), *things(there, here, products), *ways(there, here, products) ]
      end

      # @param boards [Array<Hash>] "name", "wood", "layers"
      # @return [Array(Hash, Array<Difference>), nil] the board nearest to what is planned
      def nearest(boards, steps, products:, wood: nil)
        boards
          .map { |board|
            [ board, differences(board["layers"], steps, products: products, timber: [ board["wood"], wood ]) ]
          }
              .min_by.with_index do |(_, differences), index|
                [ differences.count { |one| OTHER.include?(one.kind) }, differences.size, index ]
              end
      end

      def wood(there, here)
        if there.nil? || here.nil? || there.casecmp?(here) ||
            ((known = Colour::Wood.named(there)) && known == Colour::Wood.named(here))
          return []
        end

        [ Difference.new(kind: "timber", words: "the board is #{there}, the piece #{here}") ]
      end
      private_class_method :wood

      def preparation(layers, steps)
        grits = [ layers, steps ].map do |list|
          list.take_while { |step| !Work::Steps.lays?(step) }
            .select { |step| step["kind"] == "sand" }.last
            &.fetch("grits")&.last
        end
        return [] if grits.any?(&:nil?) || grits.uniq.size == 1

        [ Difference.new(kind: "preparation", words: "sanded to #{grits[0]} there, #{grits[1]} here") ]
      end
      private_class_method :preparation

      # Products in their order, coats of one product taken together, and the strength of colours.
      def things(there, here, products)
        there, here = [ there, here ].map { |list|
          list.map { |step|
            strength = step["strength_percent"] || 100 if step["kind"] == "stain"
            [ step["product"], strength, step["tint"] ]
          }
            .chunk_while { |one, other| one == other }
            .map(&:first)
        }
        gone, come = there - here, here - there
        (gone.map { |laid| thing(*laid, "there, not here", products) } +
          come.map { |laid| thing(*laid, "here, not there", products) }) +
          (gone.empty? && come.empty? &&
            there != here ? [ Difference.new(kind: "film", words: "the order is another one") ] : [])
      end
      private_class_method :things

      def thing(id, strength, tint, where, products)
        name = products[id]&.name || id
        colours = " with #{Schedule::Words.tint(tint, products.transform_values(&:name))}" if tint
        Difference.new(
          kind: strength || tint ? "colour" : "film",
          words: "#{name}#{" at #{strength} %" if strength && strength != 100}#{colours} #{where}"
        )
      end
      private_class_method :thing

      def ways(there, here, products)
        here.filter_map do |step|
          was = there.find { |other| other["product"] == step["product"] && other["kind"] == step["kind"] } or next
          if was["method"] == step["method"] ||
              there.any? { |other| other["product"] == step["product"] && other["method"] == step["method"] }
            next
          end

          done = Materials::Methods::DONE
          Difference.new(
            kind: "method",
            words: "#{products[step["product"]]&.name || step["product"]} #{done.fetch(was["method"])} there, " \
                   "#{done.fetch(step["method"])} here",
            step: step["id"], there: was
          )
        end
      end
      private_class_method :ways
    end
  end
end
