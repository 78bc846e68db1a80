module Rhexon
  module Checks
    module Rules
      # colour.amber_on_blue, colour.amber_on_white: a film that is yellow, or turns so, over a cool or a pale colour.
      # Silent over warm colours, over bare wood, and where the difference would not be seen.
      module ColourAmber
        module_function

        def call(context)
          course = context.course
          coloured = course.laid.index { |one| one.stain? || (one.coat? && !one.clear?) } or return []
          ambering = course.laid
            .drop(coloured + 1)
            .select { |one| one.clear? && one.first && !one.begun? }
            .max_by { |one| yellow(one.product) }
          return [] unless ambering

          clean = course.look(without: :yellow)&.look&.lab or return []
          kind = kind(clean) or return []
          return [] if (delta = difference(course, course.steps, clean)) < limits.from

          [ finding(context, ambering, kind, delta, clean) ]
        end

        def limits = Reference.colour.amber_shows
        def yellow(product) = Colour::Optics.for(product).k.first

        def kind(lab)
          return "white" if lab[0] > limits.pale_l && Math.hypot(*lab.drop(1)) < limits.pale_chroma

          "blue" if lab[2] < limits.cool_b
        end

        # What the yellow does by the end of a year.
        def difference(course, steps, clean)
          Colour::DeltaE.ciede2000(clean, course.look(years: limits.years, steps: steps).look.lab)
        end

        def finding(context, ambering, kind, delta, clean)
          turns = kind == "blue" ? "over blue it goes green" : "over white it yellows slowly"
          sentence = "#{ambering.product.name} is yellow and grows more so: #{turns}, by ΔE #{format("%.1f", delta)} " \
                     "within a year (#{Colour::DeltaE.label(delta)})."
          context.finding("colour.amber_on_#{kind}", "caution",
                          "Yellow film over #{kind == "blue" ? "a cool" : "a pale"} colour", sentence,
                          placement: ambering.first, figures: { delta_e: delta.round(1) },
                          remedies: [ other(context, ambering, clean) ])
        end

        # The least yellow film that is laid on the same way and leaves the colour alone.
        def other(context, ambering, clean)
          mine = context.course.laid.select { |one| one.coat? && one.product == ambering.product && !one.begun? }
          paler(context.shelf, ambering.product, mine).each do |product|
            sets = mine.to_h { |one| [ one.step["id"], Schedule::Swap.set(one.step, product) ] }
            steps = context.course.steps.map { |step| sets[step["id"]] ? step.merge(sets[step["id"]]).compact : step }
            next if difference(context.course, steps, clean) >= limits.from

            changes = sets.map { |id, set| { "op" => "change_step", "id" => id, "set" => set } }
            return context.remedy("Use #{product.name}", { "op" => "all", "operations" => changes })
          end
          nil
        end

        # Clear films of the shelf that amber less and can be laid in the same ways, the clearest and likest first: no
        # epoxy, which wants a coat over it, and nothing that is kept to seal or fill.
        def paler(shelf, ambering, coats)
          fitting = shelf.select do |product|
            product.film? && !product.coloured? && !product.waxy? && finishes?(product) &&
              yellow(product) < yellow(ambering) &&
              coats.all? { |one| product.methods_known.include?(one.step["method"]) }
          end
          fitting.sort_by do |product|
            [ yellow(product), (product.sheen_gu.value - ambering.sheen_gu.value).abs, product.id ]
          end
        end

        def finishes?(product) = product.class_id != "epoxy_clear" && [ nil, "top coat" ].include?(product.role)
      end
    end
  end
end
