module Rhexon
  module Checks
    module Rules
      # rub.sheen_unreachable: the sheen that is wanted is not what the schedule ends in: the film cannot give it, it is
      # rubbed too little, or past it. Silent where no sheen is wanted, and inside what is.
      module RubSheen
        module_function

        def call(context)
          low, high = context.piece.wanted["gu"]
          return [] unless low

          context.walks
            .select { |face, _| context.piece.shown?(face) }
            .filter_map { |_, walk| finding(context, walk, low, high) }.first(1)
        end

        def finding(context, walk, low, high)
          ends = walk.final.sheen_gu
          moment = walk.course.reverse.find { |one| one.after.sheen_gu } or return
          return if moment.placement.status == "done"

          rung = there_after(moment, low, high)
          return passed(context, moment, low, high, rung) if rung
          return if ends.between?(low - 0.5, high + 0.5)

          far = Prep::Sheen.cap_gu(walk.final.film_gu) < low
          far ? unreachable(context, walk, moment, low, high) : other(context, walk, moment, low, high)
        end

        def other(context, walk, moment, low, high)
          ends = walk.final.sheen_gu
          context.finding(
            "rub.sheen_unreachable", "caution", "Another sheen than the one wanted",
            "It ends at about #{ends.round} GU (#{Prep::Sheen.name(ends)}), and #{low} to #{high} GU is wanted.",
            placement: moment.placement, figures: { gu: ends.round(1), wanted_gu: [ low, high ] },
            remedies: [ rubbed(context, walk, moment, (low + high) / 2.0) ]
          )
        end

        def unreachable(context, walk, moment, low, high)
          made, cap = walk.final.film_gu, Prep::Sheen.cap_gu(walk.final.film_gu)
          context.finding(
            "rub.sheen_unreachable", "caution", "This film cannot be rubbed so bright",
            "It #{"was made with #{made} GU and " if made}comes to #{cap} GU at most, and #{low} to #{high} GU is " \
            "wanted. Build in gloss, and rub that down to the sheen.",
            placement: moment.placement, figures: { cap_gu: cap, wanted_gu: [ low, high ] },
            remedies: [ gloss(context, high) ]
          )
        end

        # @return [Integer, nil] rung before the last with which the sheen is there
        def there_after(moment, low, high)
          step = moment.placement.pass.step
          return unless RubLadder::KINDS.include?(step["kind"])

          rungs = step["grits"][0..-2].map { |grit| Prep::Abrasive.near(grit) }
          Prep::Sheen.rubbed(rungs, before_gu: nil, film_gu: moment.before.film_gu, rubbed_um: moment.before.rubbed_um)
            .index { |reached| reached.gu.between?(low, high) }
        end

        def passed(context, moment, low, high, rung)
          kept = moment.placement.pass.step["grits"].first(rung + 1)
          last = Prep::Abrasive.near(kept.last).words
          context.finding(
            "rub.sheen_unreachable", "note", "It is there before the last rung",
            "#{low} to #{high} GU is wanted, and that is there after #{last}: stop there.",
            placement: moment.placement, figures: { wanted_gu: [ low, high ] },
            remedies: [ context.change(moment.placement, "Stop at #{last}", { "grits" => kept }) ]
          )
        end

        # A ladder to the sheen, from the texture of the last coat or the scratch that is there.
        def rubbed(context, walk, moment, gu)
          surface = Proposals::RubOut.before(walk)
          rungs = Proposals::RubOut.to_sheen(surface, gu, context.shop.rubs(context.piece)) or return
          grits = rungs.map(&:to_s)
          step = moment.placement.pass.step
          label = "Rub out #{rungs.map(&:words).join(", ")}"
          return context.change(moment.placement, label, { "grits" => grits }) if step["kind"] == "rub_out"

          last = context.document["steps"].last
          context.put_after(last, label, { "kind" => "rub_out", "grits" => grits }, faces: step["faces"])
        end

        # A gloss of the same kind in place of the last coat's.
        def gloss(context, high)
          coat = context.coats.reverse.find { |one| one.status == "planned" } or return
          same = %i[mechanism carrier colour].map { |fact| coat.pass.product.public_send(fact) }
          other = context.shelf.find do |product|
            %i[mechanism carrier colour].map { |fact| product.public_send(fact) } == same &&
              product.sheen_gu&.value.to_f >= high && product.wet_um(coat.pass.method)&.value
          end
          other && context.change(coat, "Coat with #{other.name}", Schedule::Swap.set(coat.pass.step, other))
        end
      end
    end
  end
end
