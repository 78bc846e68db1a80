module Rhexon
  module Checks
    module Rules
      # colour.blotch: a colour that sinks in, on a wood that drinks unevenly, sanded too coarse and without a washcoat.
      # Silent on even woods, on woods without figures, over any film, and where the sanding is fine enough.
      module ColourBlotch
        module_function

        def call(context)
          wood = context.course.wood
          return [] unless wood&.spots

          context.course
            .laid
            .select { |one| one.stain? && one.first && !one.begun? }
            .filter_map { |stain| on_step(context, stain, wood) }.first(1)
        end

        def on_step(context, stain, wood)
          grit = context.course.last_grit(stain)
          least = Prep::Abrasive.read(
            limits.fetch(stain.product.carrier == "mineral_spirit" ||
              stain.product.optics&.dig("kind") == "pigment" ? "pigment" : "dye")
          )
          return if grit.nil? || stain.product.role == "gel stain" || grit.mean_um <= least.mean_um
          return if context.course.under(stain).any?(&:coat?)

          sentence = "#{wood.species.capitalize} drinks unevenly, and #{stain.product.name} sinks into it: sanded to " \
                     "#{grit} it will show dark patches. #{least} or finer evens it out, and so does a washcoat."
          context.finding(
            "colour.blotch", "caution", "Blotches", sentence, placement: stain.first,
            figures: { grit: grit.to_s, least_grit: least.to_s }, remedies: remedies(context, stain)
          )
        end

        def limits = Reference.colour.blotch

        # The way of the house first.
        def remedies(context, stain)
          ways = { "finer" => finer(context, stain), "washcoat" => washcoat(context, stain),
                   "gel" => gel(context, stain) }
          own = context.piece.house.fetch("blotch")
          [ ways[own], *ways.except(own).values ]
        end

        # A stain too thick to sink in unevenly.
        def gel(context, stain)
          other = context.shelf.find { |product| product.role == "gel stain" && product.id != stain.product.id }
          return unless other && Schedule::Kinds.methods("stain", other).include?(stain.step["method"])

          context.change(stain.first, "Use #{other.name}", Schedule::Swap.set(stain.step, other, tints: []))
        end

        def finer(context, stain)
          sanding = context.course
            .laid
            .take_while { |one| !one.equal?(stain) }
            .select { |one| one.step["kind"] == "sand" }.last
          return if sanding.begun?

          context.remedy(
            "Sand to #{limits.fetch("finer")}",
            {
              "op" => "change_step", "id" => sanding.step["id"],
              "set" => { "grits" => [ *sanding.step["grits"], limits.fetch("finer") ] }
            }
          )
        end

        # As thin as a washcoat is.
        def washcoat(context, stain)
          dewaxed = context.dewaxed or return
          wet = (Reference.colour.uptake.washcoat_um * 100 /
            dewaxed.solids_volume_percent.value).floor
          context.seal_under(stain.first, dewaxed, "Put a washcoat of #{dewaxed.name} under it", "wet_um" => wet)
        end
      end
    end
  end
end
