module Rhexon
  module Search
    # Passes of a piece that must catch a hard window and so are placed together: from the pass it opens on to the last that must catch it.
    module Blocks
      # @!attribute last [Integer] index of the last pass
      Block = Struct.new(:first, :last)

      module_function

      # @param model [Model]
      # @return [Array<Block, nil>] by index of the first pass
      def of(model)
        spans = model.passes.each_with_index.filter_map { |pass, index| [ pass.hard.lower, index ] if pass.hard && !model.logged.placed[pass.hard.lower] }
        joined = spans.sort.each_with_object([]) do |(from, to), found|
          found.last && from <= found.last.last ? found.last.last = [ found.last.last, to ].max : found << Block.new(from, to)
        end
        joined.each_with_object([]) { |block, by_index| by_index[block.first] = block }
      end
    end
  end
end
