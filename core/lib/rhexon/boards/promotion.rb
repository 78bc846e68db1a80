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
      # @param cell [Hash] {readings: Integer, age_days: Integer, timber:, piece_wood:}
      # @return [Result]
      def promote(layers, products:, room: nil, methods: {}, cell: {})
        differences = []
        steps = layers.map { |step| adapt(step, products, methods, differences) }
        document = Schedule::Document.check!(Schedule::Document.empty(room: room).merge("steps" => steps))
        Result.new(document: document, differences: differences.uniq, cautions: cautions(cell))
      end

      def adapt(step, products, methods, differences)
        step = step.except("faces", "pins", "room")
        product = products[step["product"]]
        method = methods[step["method"]]
        return step unless product && method && method != step["method"]

        words = Schedule::Words::DONE
        differences << "#{product.name}: #{words.fetch(step["method"])} on the board, #{words.fetch(method)} here"
        return step.merge("method" => method) unless step["wet_um"]

        wet = product.wet_um(method)&.value or
          raise Refusal.new("#{product.name} has no figure for #{words.fetch(method)} film", where: "method", accepted: product.methods_known.join(", "))
        differences << "#{product.name}: #{step["wet_um"]} µm wet there, #{wet} µm here" unless wet == step["wet_um"]
        step.merge("method" => method, "wet_um" => wet)
      end
      private_class_method :adapt

      def cautions(cell)
        [ ("This cell has no reading yet." if cell[:readings].to_i.zero?),
          ("The cell is #{cell[:age_days]} days old; a look settles in #{LOOK_DAYS}." if cell[:age_days] && cell[:age_days] < LOOK_DAYS),
          ("The board is #{cell[:timber]}, the piece #{cell[:piece_wood]}." if cell[:timber] && cell[:piece_wood] && cell[:timber] != cell[:piece_wood]),
          ("The cell was ruined: #{cell[:ruined]}." if cell[:ruined]) ].compact
      end
      private_class_method :cautions
    end
  end
end
