module Rhexon
  module Boards
    # The cells of a trial as one piece of work: each material is mixed once and goes on all the cells that want it in
    # one pass, masks move little, waits overlap.
    class WorkOrder
      # @!attribute step  [Hash] of a schedule document, on the faces (cells) it goes on
      # @!attribute cells [Array<String>] labels
      # @!attribute masked [Array<String>] cells that are covered meanwhile
      Pass = Struct.new(:step, :cells, :masked, keyword_init: true) do
        # @return [String] "Seal coat, Orrin dewaxed sealer, thinned 60 %, 2 coats"
        def label(product_name)
          thinned = step["thinning"] && "thinned #{step["thinning"]["percent"]} %"
          coats = step["coats"].to_i > 1 ? "#{step["coats"]} coats" : nil
          [ Schedule::Words.step(step, product_name), thinned, coats ].compact.join(", ")
        end
      end
      # Own to a cell and no part of what is done.
      OWN = %w[id pins faces room].freeze
      MOST_STEPS = 60

      # @param cells [Hash{String=>Array<Hash>}] label => layers
      def initialize(cells)
        @cells = cells
      end

      # @return [Array<Pass>]
      # @raise [InvalidInput] when there are more passes than a schedule holds
      def passes
        @passes ||= together.then do |batches|
          Rhexon.refuse_unless(batches.size <= MOST_STEPS, "#{batches.size} passes are too many for one board",
                               where: "cells", accepted: "at most #{MOST_STEPS}: vary less, or make two trials")
          batches.each_with_index.map do |(step, coats, cells), index|
            Pass.new(
              step: {
                "id" => "s#{index + 1}", **step, **(coats > 1 || Work::Steps.film?(step) ? { "coats" => coats } : {}),
                "faces" => cells
              },
              cells: cells, masked: Work::Steps.lays?(step) ? @cells.keys - cells : []
            ).freeze
          end
        end
      end

      # @param room [String, nil]
      # @return [Hash] schedule document over all cells: a board hangs, all its cells are laid on at once
      def document(room: nil)
        Schedule::Document.check!(
          Schedule::Document.empty(room: room).merge("support" => "hung", "steps" => passes.map(&:step))
        )
      end

      # How often tape is put on or taken off a cell.
      def mask_moves
        passes.select { |pass| Work::Steps.lays?(pass.step) }
          .map(&:masked)
          .then do |masks|
            [ [], *masks ].each_cons(2).sum { |before, after| (before | after).size - (before & after).size }
          end
      end

      # What is mixed, each material once for all cells, with what stays in cup and gun and the margin.
      # @param areas [Hash{String=>Float}] m² by label
      # @return [Array<Hash>] product, ml
      def amounts(areas, products)
        passes.select { |pass| Work::Steps.lays?(pass.step) }
          .group_by { |pass| pass.step["product"] }
          .map do |product, mine|
            Rhexon.refuse_unless(products.key?(product), "The board names a product that is not there: #{product}",
                                 where: "layers")
            layings = mine.map { |pass| laying(pass, areas, products.fetch(product)) }
            largest = layings.max_by(&:left_behind_ml)
            {
              "product" => product, "name" => products.fetch(product).name,
              "ml" => largest.with_laid(layings.sum(&:laid_ml)).gross_ml.ceil
            }
          end
      end

      private

      def laying(pass, areas, product)
        area = pass.cells.sum { |cell| areas.fetch(cell) } * (pass.step["coats"] || 1)
        wiped = %w[wipe pad].include?(pass.step["method"]) || !product.film? ? product.consumption_ml_per_m2 : nil
        Mixing::Laying.for_area(area_m2: area,
                                wet_um: pass.step["wet_um"] || Reference.hands.stain_ml_per_m2,
                                method: pass.step["method"], gun: pass.step["gun"], consumption_ml_per_m2: wiped)
      end

      # One coat at a time, so that two coats here and three there share the first two.
      def queues
        @cells.transform_values do |layers|
          layers.flat_map { |layer| Array.new(layer["coats"] || 1) { layer.except(*OWN, "coats") } }
        end
      end

      # Again and again the work that fewest other cells would have to wait for, most cells at once; then like passes
      # next to each other.
      def together
        left = queues
        done = []
        until left.values.all?(&:empty?)
          step = left.values.filter_map(&:first).uniq.min_by { |candidate| rank(candidate, left, done.last) }
          cells = left.select { |_, queue| queue.first == step }.keys
          cells.each { |cell| left[cell].shift }
          if done.last && done.last[0] == step && done.last[2] == cells && Work::Steps.lays?(step)
            done.last[1] += 1
          else
            done << [ step, 1, cells ]
          end
        end
        done
      end

      def rank(step, left, last)
        here, elsewhere = left.values
          .select { |queue| queue.include?(step) }
          .partition { |queue| queue.first == step }
        cells = left.select { |_, queue| queue.first == step }.keys
        [ elsewhere.size, last && last[2] == cells ? 0 : 1, -here.size ]
      end
    end
  end
end
