module Rhexon
  module Checks
    module Rules
      # stock.short: the shelf does not hold what the planned passes take. Silent when it does, and when no stock is
      # kept.
      module StockShort
        module_function

        def call(context)
          context.shopping_lines.select { |line| line.short_g > 0.5 }.map { |line| finding(context, line) }
        end

        def finding(context, line)
          coat = context.placement_of(first_of_mine(context, line))
          buy = line.packs.map { |pack| "#{pack.count} x #{pack.words}" }.join(" + ")
          sentence = "#{grams(line.need_g)} of #{line.product.name} are needed from " \
                     "#{context.clock(line.needed_at)}, " \
                     "#{line.left_g.positive? ? "#{grams(line.left_g)} are left" : "none is on the shelf"}. " \
                     "#{line.product.retired? ? "It is not bought any more" : to_buy(buy)}."
          context.finding(
            "stock.short", "caution", "Not enough on the shelf", sentence, placement: coat,
            figures: { need_g: line.need_g, left_g: line.left_g, short_g: line.short_g },
            remedies: [
              (context.go("Open the shopping list", "shopping", line.product.id) unless line.product.retired?),
              instead(context, coat, line), context.go("See what else would do", "ways")
            ].compact
          )
        end

        def to_buy(packs) = packs.empty? ? "Its packs are not known" : "On the shopping list: #{packs}"

        # Another product of the same class, colour and nearly the same sheen that there is enough of.
        def instead(context, coat, line)
          product = line.product
          return if coat.nil? || coat.pass.product != product || product.coloured?

          other = context.shelf.find do |candidate|
            candidate != product && alike?(candidate, product) &&
              context.stock_g(candidate.id, line.needed_at) >= line.need_g
          end
          other && context.change(coat, "Use #{other.name}", Schedule::Swap.set(coat.pass.step, other))
        end

        def alike?(one, other)
          one.class_id == other.class_id && one.colour == other.colour && one.waxy? == other.waxy? && one.sheen_gu &&
            other.sheen_gu &&
            (one.sheen_gu.value - other.sheen_gu.value).abs <= Reference.limits.alike_within_gu
        end

        def first_of_mine(context, line) = line.passes.map(&:first).find { |key| context.placement_of(key) }

        def grams(value) = value >= 1000 ? "#{(value / 1000.0).round(1)} kg" : "#{value.round} g"
      end
    end
  end
end
