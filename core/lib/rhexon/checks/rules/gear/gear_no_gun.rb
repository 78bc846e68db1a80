module Rhexon
  module Checks
    module Rules
      # gear.no_gun: a coat is to be sprayed, and of the tools that the shop lists none sprays. Silent where it lists no
      # tools at all, where a room is there to spray in, and on aerosol cans.
      module GearNoGun
        module_function

        def call(context)
          return [] if context.shop.tools.empty? || context.shop.sprays?

          sprayed = context.placements.select do |one|
            one.pass.method == "spray" && one.pass.step["gun"] != "aerosol" && one.status == "planned"
          end
          sprayed.uniq { |one| one.pass.step }.map { |one| finding(context, one) }
        end

        def finding(context, coat)
          product = coat.pass.product
          other = (context.shop.usable(Schedule::Kinds.methods(coat.pass.kind, product)) & product.methods_known).first
          context.finding(
            "gear.no_gun", "stop", "No gun in the shop",
            "#{context.title(coat)} is sprayed, and the shop lists no gun.",
            placement: coat, remedies: [ (otherwise(context, coat, product, other) if other) ].compact
          )
        end

        def otherwise(context, coat, product, method)
          context.change(coat, "Have it #{Materials::Methods::DONE.fetch(method)}",
                         Schedule::Swap.method_set(coat.pass.step, product, method))
        end
      end
    end
  end
end
