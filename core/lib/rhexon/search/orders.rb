module Rhexon
  module Search
    # Orders of pieces in which a build takes up their passes.
    module Orders
      module_function

      # Each pass by its start; one without a start comes with the pass before it.
      # @param model [Model]
      # @param starts [Hash{Integer=>Integer}] minute by pass
      # @param pieces [Array<Integer>]
      # @return [Array<Integer>] pieces, each as often as it has passes to place
      def by_start(model, starts, pieces = model.pieces.each_index)
        pieces.flat_map { |piece| turns(model, piece, starts) }.sort.map(&:last)
      end

      def turns(model, piece, starts)
        latest = model.shop.now
        model.open_passes(piece).each_with_index.map do |index, turn|
          [ latest = [ latest, starts[index] || 0 ].max, turn, piece ]
        end
      end
      private_class_method :turns
    end
  end
end
