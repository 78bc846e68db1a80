module Rhexon
  module Checks
    # Ready changes of a schedule that may bring its date forward: another room, a coat less, another product.
    module Alternatives
      # Other products tried at most.
      MOST_PRODUCTS = 6

      module_function

      # The whole schedule in another room.
      # @return [Array<Remedy>]
      def rooms(context)
        here = context.document["room"]
        context.shop.rooms.filter_map do |room, other|
          climate = other.line.at(context.shop.now)
          unless room == here
            context.remedy(
              "Work and dry in the #{room} (#{format("%g", climate.t_c.round(1))} °C, " \
              "#{format("%g", climate.rh.round)} %)",
              in_room(context, room)
            )
          end
        end
      end

      # Whether every face is thick enough without its last coat.
      def spare?(context)
        context.walks.values.all? do |walk|
          walk.last_coat or next true
          least = Film::MinimumThickness.um(context.piece.use, walk.final)
          least && walk.final.total_um - (walk.final.layers.last&.laid_um || 0) >= least
        end
      end
      private_class_method :spare?

      # One coat less, where the film stays thick enough.
      # @return [Array<Remedy>]
      def fewer(context)
        step = context.document["steps"].reverse.find do |candidate|
          candidate["kind"] == "coat" && candidate["coats"] > 1
        end
        return [] unless step

        last = context.placements.select do |placement|
          placement.pass.step["id"] == step["id"] && placement.pass.coat == step["coats"]
        end
        return [] if last.any? { |placement| placement.status != "planned" }

        return [] unless spare?(context)

        [ context.remedy("One coat less, the film stays thick enough",
                         { "op" => "change_step", "id" => step["id"], "set" => { "coats" => step["coats"] - 1 } }) ]
      end

      # The coats to come of the product that most of them are of, applied in another way.
      # @return [Array<Remedy>]
      def methods(context)
        mine = main_coats(context) or return []
        product = context.shop.products.fetch(mine.first["product"])
        known = Schedule::Kinds.methods("coat", product) & product.methods_known
        others = context.shop.usable(known) - mine.map { |step| step["method"] }
        others.map do |method|
          changes = mine.map do |step|
            { "op" => "change_step", "id" => step["id"], "set" => Schedule::Swap.method_set(step, product, method) }
          end
          context.remedy("Have #{product.name} #{Materials::Methods::DONE.fetch(method)}",
                         { "op" => "all", "operations" => changes })
        end
      end

      # @return [Array<Hash>, nil] steps of the product of most coats that are to come
      def main_coats(context)
        open = untouched(context).select { |step| step["kind"] == "coat" }
        id = open.map { |step| step["product"] }.tally.max_by { |product, count| [ count, product ] }&.first
        id && open.select { |step| step["product"] == id }
      end
      private_class_method :main_coats

      # Another product of the same look for the coats to come.
      # @return [Array<Remedy>]
      def products(context)
        mine = main_coats(context) or return []
        laid = context.shop.products.fetch(mine.first["product"])
        others = context.shelf.select { |product| fits?(product, laid, mine) }.first(MOST_PRODUCTS)
        others.map do |product|
          context.remedy("Use #{product.name}",
                         { "op" => "all", "operations" => mine.map { |step| Schedule::Swap.operation(step, product) } })
        end
      end

      def in_room(context, room)
        {
          "op" => "all",
          "operations" => untouched(context)
            .select { |step| Work::Steps.lays?(step) }
            .map { |step| { "op" => "change_step", "id" => step["id"], "set" => { "room" => room } } }
        }
      end

      # Steps nothing is logged about.
      def untouched(context)
        begun = context.placements
          .reject { |placement| placement.status == "planned" }
          .map { |placement| placement.pass.step["id"] }
        context.document["steps"].reject { |step| begun.include?(step["id"]) }
      end

      def fits?(product, now, steps)
        product != now && product.film? && product.colour == now.colour && product.role && product.role == now.role &&
          product.waxy? == now.waxy? && steps.all? { |step| product.methods_known.include?(step["method"]) }
      end

      private_class_method :in_room, :untouched, :fits?
    end
  end
end
