module Rhexon
  module Checks
    module Rules
      # mix.expired: mixed shellac on the shelf that is past its date, or old enough to be tried on glass first.
      # Silent while fresh mixes or unmixed stock cover the need.
      module MixExpired
        module_function

        def call(context)
          context.shopping_lines.filter_map { |line| on_line(context, line) }
        end

        def on_line(context, line)
          date = context.shop.zone.date(line.needed_at)
          mixed = context.shop.stock.select do |batch|
            batch.product == line.product.id && batch.mixed? && batch.g.positive?
          end
          over = mixed.reject { |batch| batch.good_on?(date) }
          return expired(context, line, over) if over.any? && line.short_g.positive?

          old = mixed.select do |batch|
            batch.good_on?(date) && line.product.class_id == "shellac" && batch.opened_on &&
              Mixing::Cuts.smear_first?(batch.opened_on, date)
          end
          smear(context, line, old.first, date) if old.any? && old.sum(&:g) > line.left_g - line.need_g
        end

        def expired(context, line, over)
          context.finding(
            "mix.expired", "stop", "The mix is too old",
            "#{over.sum(&:g).round} g of mixed #{line.product.name} are past their date " \
            "(#{over.map(&:expires_on).min.strftime("%-d %b")}): they may never dry. Mix fresh.",
            placement: context.placement_of(line.passes.first.first),
            figures: { stale_g: over.sum(&:g), short_g: line.short_g },
            remedies: [ context.go("Look at it on the shelf", "shelf", line.product.id) ]
          )
        end

        def smear(context, line, batch, date)
          limits = Mixing::Cut.defaults
          sentence = "The jar of #{line.product.name} was mixed #{batch.opened_on.strftime("%-d %b")}. Smear a " \
                     "little on glass: tack-free in #{limits.smear_tack_free_min} min, and no nail dents it " \
                     "next morning."
          context.finding("mix.expired", "note", "Try a smear first", sentence,
                          placement: context.placement_of(line.passes.first.first),
                          figures: { age_days: (date - batch.opened_on).to_i }, remedies: [])
        end
      end
    end
  end
end
