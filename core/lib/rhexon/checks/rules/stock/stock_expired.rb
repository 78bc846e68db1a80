module Rhexon
  module Checks
    module Rules
      # stock.expired: cans past their date would be needed to have enough. Silent while fresh stock covers the need.
      module StockExpired
        module_function

        def call(context)
          context.shopping_lines.filter_map { |line| on_line(context, line) }
        end

        def on_line(context, line)
          date = context.shop.zone.date(line.needed_at)
          stale = context.shop.stock.select do |batch|
            batch.product == line.product.id && !batch.mixed? && !batch.good_on?(date) && batch.g.positive?
          end
          return if stale.empty? || !line.short_g.positive?

          sentence = "#{stale.sum(&:g).round} g of #{line.product.name} are past their date " \
                     "(#{stale.map(&:expires_on).min.strftime("%-d %b %Y")}): try them on a board before they go on " \
                     "a piece."
          context.finding("stock.expired", "caution", "Past its date", sentence,
                          placement: context.placement_of(StockShort.first_of_mine(context, line)),
                          figures: { stale_g: stale.sum(&:g), short_g: line.short_g },
                          remedies: [ context.go("Look at it on the shelf", "shelf", line.product.id) ])
        end
      end
    end
  end
end
