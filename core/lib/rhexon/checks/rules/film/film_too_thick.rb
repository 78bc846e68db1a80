module Rhexon
  module Checks
    module Rules
      # film.too_thick: more of a class on a face, at any moment, than it bears without cracking. Silent below that, for
      # classes that bear any build, and where what is too much is taken off before the next coat.
      module FilmTooThick
        module_function

        def call(context)
          context.walks.flat_map { |face, walk| on_face(context, face, walk) }.uniq(&:id)
        end

        def on_face(context, face, walk)
          Reference.film.most_um.filter_map do |class_id, most|
            over = walk.snapshots.find { |moment| there(context, moment.after, class_id) > most }
            finding(context, face, over.placement, there(context, over.after, class_id), most) if over
          end
        end

        # @return [Float] µm of a class on the face
        def there(context, surface, class_id)
          surface.layers.sum do |layer|
            context.shop.products[layer.product_id]&.class_id == class_id ? layer.um : 0.0
          end
        end

        def finding(context, face, placement, um, most)
          name = placement.pass.product&.name || "The film"
          context.finding(
            "film.too_thick", "caution", "Too much film",
            "#{name} comes to #{um.round} µm on #{face}, and above #{most} it turns brittle: it cracks when the wood " \
            "moves.",
            placement: placement, figures: { film_um: um, most_um: most }, remedies: [ fewer(context, placement) ]
          )
        end

        # The coats up to the one that is too much.
        def fewer(context, placement)
          step = placement.pass.step
          keep = placement.pass.coat - 1
          return unless placement.pass.film? && placement.status == "planned" && keep.positive? && step["coats"] > 1

          context.change(placement, "#{keep} #{keep == 1 ? "coat" : "coats"} of it", { "coats" => keep })
        end
      end
    end
  end
end
