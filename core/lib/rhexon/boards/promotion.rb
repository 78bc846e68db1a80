module Rhexon
  module Boards
    # From a cell to the schedule of a piece: its layers, with method and wet film changed for the real piece.
    module Promotion
      # @!attribute document [Hash] schedule document
      # @!attribute differences [Array<String>] in words: sprayed there, brushed here
      # @!attribute cautions [Array<String>]
      Result = Struct.new(:document, :differences, :cautions, keyword_init: true)
      LOOK_DAYS = 7

      module_function

      # @param layers [Array<Hash>] the cell's steps
      # @param products [Hash{String=>Materials::Product}]
      # @param room [String, nil] where the piece will be finished
      # @param methods [Hash{String=>String}] method on the board => method on the piece, e.g. {"spray"=>"brush"}
      # @param cell [Hash] {readings: Integer, age_days: Integer, spots_early: whether spots were tested before full
      #   cure, timber:, piece_wood:, area_m2:, piece_area_m2:, ruined:}
      # @return [Result]
      def promote(layers, products:, room: nil, methods: {}, cell: {})
        differences = []
        steps = layers.map { |step| adapt(step, products, methods, differences) }
        document = Schedule::Document.check!(Schedule::Document.empty(room: room).merge("steps" => steps))
        Result.new(document: document, differences: [ *differences.uniq, *area(cell, document, products) ],
                   cautions: cautions(cell))
      end

      def adapt(step, products, methods, differences)
        step = step.except("faces", "pins", "room")
        product = products[step["product"]]
        method = methods[step["method"]]
        return step unless product && method && method != step["method"]

        words = Materials::Methods::DONE
        Rhexon.refuse_unless(
          words.key?(method), "#{method.inspect} is no way to lay it on", where: "methods",
          accepted: words.keys.join(", ")
        )
        differences << "#{product.name}: #{words.fetch(step["method"])} on the board, #{words.fetch(method)} here"
        return step.merge("method" => method) unless step["wet_um"]

        wet = product.wet_um(method)&.value or
          raise InvalidInput.new(
            "#{product.name} has no figure for #{words.fetch(method)} film", where: "method",
            accepted: product.methods_known.join(", ")
          )
        differences << "#{product.name}: #{step["wet_um"]} µm wet there, #{wet} µm here" unless wet == step["wet_um"]
        step.merge("method" => method, "wet_um" => wet)
      end
      private_class_method :adapt

      # A cell is wiped off in seconds; a face is not.
      def area(cell, document, products)
        there, here = cell.values_at(:area_m2, :piece_area_m2)
        return [] unless there && here && here > there

        wet = document["steps"].filter_map { |step| products[step["product"]]&.milestone("wipe_off_latest")&.value }.min
        [ "#{format("%.2g", there)} m² on the board, #{format("%.2g", here)} m² " \
          "here#{"; wipe off within #{wet.round} min, in parts if need be" if wet}" ]
      end
      private_class_method :area

      def cautions(cell)
        [ ("This cell has no reading yet." if cell[:readings].to_i.zero?),
          ("The cell is #{cell[:age_days]} days old; a look settles in #{LOOK_DAYS}." if cell[:age_days] &&
            cell[:age_days] < LOOK_DAYS),
          ("Spots were tested before its full cure." if cell[:spots_early]),
          *BoardComparison.differences([], [], products: {}, timber: cell.values_at(:timber, :piece_wood))
            .map { |difference| "#{difference.words.sub(/^./, &:upcase)}." },
          ("The cell was ruined: #{cell[:ruined]}." if cell[:ruined]) ].compact
      end
      private_class_method :cautions
    end
  end
end
