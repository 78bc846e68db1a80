module Rhexon
  module Checks
    module Rules
      # time.pot_life: a pass outlasts the usable pot life of its batch. Silent when it fits, and for products without
      # a pot life.
      module TimePotLife
        # Waterborne two-part often does not thicken at its end.
        BY_THE_CLOCK = " It may not thicken: go by the clock."

        module_function

        def call(context)
          context.own_batches.select(&:short?).map { |batch| finding(context, batch) }.uniq(&:step)
        end

        def finding(context, batch)
          coat = context.placement_of(batch.passes.first)
          usable = batch.usable_until - batch.mixed_at
          sentence = "Mixing and laying take #{context.duration(batch.used_until - batch.mixed_at)}, the mix may be " \
                     "used for #{context.duration(usable)} at #{format("%g", context.climate(coat).t_c)} °C: the end " \
                     "of the pot sets before it is on.#{BY_THE_CLOCK if batch.product.waterborne?}"
          context.finding(
            "time.pot_life", "stop", "Outlasts its pot life", sentence, placement: coat,
            figures: {
              usable_min: usable, work_min: batch.used_until - batch.mixed_at, t_c: context.climate(coat).t_c
            },
            remedies: [ split(context, coat, batch), cooler(context, coat, batch), less_hardener(context, coat, batch) ]
          )
        end

        # The fewest equal batches that each last: set-up goes with the first, and a smaller pot of what warms itself
        # lasts longer.
        def split(context, coat, batch)
          setup = coat.work_start - coat.hands_start
          work = coat.work_end - coat.work_start
          count = (2..20).find do |number|
            setup + (work / number.to_f).ceil <= usable_min(context, coat, batch, number)
          end
          return unless count

          context.change(coat, "Mix it in #{count} batches", { "batches" => count })
        end

        def usable_min(context, coat, batch, count)
          parts = Mixing::ProductMix.hardener_parts(coat.pass.product, coat.pass.step)
          Mixing::PotLife.usable_until(coat.pass.product, context.shop.line(coat.pass.room), batch.mixed_at,
                                       batch_g: batch.sheet.total_g / count, hardener_parts: parts) -
            batch.mixed_at
        end

        def cooler(context, coat, batch)
          context.elsewhere(coat, "cool enough") do |climate|
            lasts?(coat, batch, t_c: climate.t_c) &&
              Drying::Application.warm_enough?(coat.pass.product, climate.t_c)
          end
        end

        # Only where the sheet gives pot life at both ends of the hardener range, and never for epoxy.
        def less_hardener(context, coat, batch)
          ends = coat.pass.product.pot_life_by_hardener
          return if ends.nil? || coat.pass.product.class_id == "epoxy_clear"

          fewest = ends.first.first
          return unless lasts?(coat, batch, t_c: context.climate(coat).t_c, hardener_parts: fewest)

          context.change(coat, "Use #{format("%g", fewest)} parts of hardener", { "hardener_parts" => fewest })
        end

        def lasts?(coat, batch, **conditions)
          usable = Mixing::PotLife.usable_min(coat.pass.product, batch_g: batch.sheet.total_g, **conditions)
          usable && batch.used_until - batch.mixed_at <= usable
        end
      end
    end
  end
end
