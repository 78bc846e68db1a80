module Rhexon
  module Search
    # Passes of a piece that must catch a hard window and so are placed together: from the pass it opens on to the
    # last that must catch it.
    # A window that shuts within hours is watched: all of it falls into one open interval of one person. Of a longer
    # one only each pass itself does, and a night may lie between.
    module Blocks
      # @!attribute last    [Integer] index of the last pass
      # @!attribute watched [Boolean]
      # @!attribute sitting [Boolean] nothing but one sitting: where it cannot be kept, its coats are placed one by one
      Block = Struct.new(:first, :last, :watched, :sitting)
      # Minutes on the sheet from which on nobody stays for it.
      WATCHED_MIN = Reference.hands.watched_under_min

      module_function

      # @param model [Model]
      # @return [Array<Block, nil>] by index of the first pass
      def for(model)
        spans = hard(model) + sittings(model)
        joined = spans.sort_by { |span| [ span.first, span.last ] }.each_with_object([]) do |span, joined|
          next joined << span unless joined.last && span.first <= joined.last.last

          joined.last.last = [ joined.last.last, span.last ].max
          joined.last.watched ||= span.watched
          joined.last.sitting &&= span.sitting
        end
        joined.each_with_object([]) { |block, by_index| by_index[block.first] = block }
      end

      def hard(model)
        model.passes.each_with_index.filter_map do |pass, index|
          next unless pass.hard && !model.logged.placed[pass.hard.lower]

          Block.new(pass.hard.lower, index, watched?(model, pass), false)
        end
      end

      # What is left of a sitting that was begun stays together.
      def sittings(model)
        model.passes.each_index.select { |index| model.passes[index].sitting }
          .group_by { |index| model.passes[index].sitting }
          .filter_map do |first, others|
            open = [ first, *others ].reject { |index| model.logged.placed[index] }
            Block.new(open.first, open.last, true, true) if open.size > 1 && open == (open.first..open.last).to_a
          end
      end

      def watched?(model, pass)
        return true unless pass.hard.closes

        below = model.passes[pass.hard.lower]
        latest = below.product.milestone(pass.hard.closes, below.method)&.value
        latest.nil? || latest < WATCHED_MIN
      end
      private_class_method :hard, :sittings, :watched?
    end
  end
end
