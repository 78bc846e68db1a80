module Rhexon
  module Checks
    module Rules
      # stock.lot_mixed: colour for one job comes from cans of several lots that were not boxed. Silent when one lot
      # is enough, when the cans are boxed, and for clear products.
      module StockLotMixed
        module_function

        def call(context)
          context.shopping_lines
            .select { |line| line.product.coloured? && !line.product.helper? }
            .filter_map { |line| on_line(context, line) }
        end

        def usable(shop, line)
          date = shop.zone.date(line.needed_at)
          shop.stock.select do |batch|
            batch.product == line.product.id && batch.free? && batch.good_on?(date) && batch.g.positive? && batch.lot
          end
        end

        def on_line(context, line)
          cans = usable(context.shop, line)
          lots = cans.reject(&:boxed).group_by(&:lot).transform_values { |of_lot| of_lot.sum(&:g) }
          boxed = cans.select(&:boxed).sum(&:g)
          return if lots.size < 2 && (boxed.zero? || lots.empty?)
          return if [ boxed, *lots.values ].max >= line.need_g

          sentence = "#{line.product.name} comes from #{lots.size + (boxed.positive? ? 1 : 0)} lots " \
                     "(#{lots.keys.sort.join(", ")}) and no one of them is enough: the colour may change where a can " \
                     "ends. Box them: pour all together and stir."
          context.finding("stock.lot_mixed", "caution", "Lots not boxed", sentence,
                          placement: context.placement_of(StockShort.first_of_mine(context, line)),
                          figures: { lots: lots.keys.sort.join(", "), need_g: line.need_g },
                          remedies: [ context.go("Box the lots", "shelf", line.product.id) ])
        end
      end
    end
  end
end
