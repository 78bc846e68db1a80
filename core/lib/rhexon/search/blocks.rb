module Rhexon
  module Search
    # Passes of a piece that must catch a hard window and so are placed together: from the pass it opens on to the
    # last that must catch it.
    # A window that shuts within hours is watched: all of it falls into one open interval of one person. Of a longer
    # one only each pass itself does, and a night may lie between.
    module Blocks
      # @!attribute last    [Integer] index of the last pass
      # @!attribute watched [Boolean]
      Block = Struct.new(:first, :last, :watched)
      # Minutes on the sheet from which on nobody stays for it.
      WATCHED_MIN = Reference.hands.watched_under_min

      module_function

      # @param model [Model]
      # @return [Array<Block, nil>] by index of the first pass
      def for(model)
        spans = model.passes.each_with_index.filter_map do |pass, index|
          [ pass.hard.lower, index, watched?(model, pass) ] if pass.hard && !model.logged.placed[pass.hard.lower]
        end
        joined = spans.sort_by { |from, to, _| [ from, to ] }.each_with_object([]) do |(from, to, watched), joined|
          next joined << Block.new(from, to, watched) unless joined.last && from <= joined.last.last

          joined.last.last = [ joined.last.last, to ].max
          joined.last.watched ||= watched
        end
        joined.each_with_object([]) { |block, by_index| by_index[block.first] = block }
      end

      def watched?(model, pass)
        return true unless pass.hard.closes

        below = model.passes[pass.hard.lower]
        latest = below.product.milestone(pass.hard.closes, below.method)&.value
        latest.nil? || latest < WATCHED_MIN
      end
      private_class_method :watched?
    end
  end
end
