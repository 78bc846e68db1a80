module Rhexon
  module Checks
    module Rules
      # film.wrinkle: an oxidative coat so wet that it skins over and wrinkles. Silent for usual films of varnish and
      # oil, for what is wiped off again, and for other mechanisms.
      module FilmWrinkle
        module_function

        def call(context)
          context.coats.reject { |coat| coat.pass.inserted || coat.status == "done" }
            .select { |coat| wrinkles?(coat.pass) }
            .uniq { |coat| coat.pass.step["id"] }
            .map { |coat| finding(context, coat) }
        end

        def wrinkles?(pass)
          pass.product.mechanism == "oxidative" && !pass.step["wipe_off"] && pass.wet_um > Reference.film.wrinkle_wet_um
        end

        def finding(context, coat)
          pass = coat.pass
          context.finding(
            "film.wrinkle", "caution", "It will wrinkle",
            "#{pass.product.name} hardens from the top: at #{pass.wet_um.round} µm wet it skins over, and wrinkles " \
            "as what is below dries. #{Reference.film.wrinkle_wet_um} µm is the most.",
            placement: coat, figures: { wet_um: pass.wet_um }, remedies: [ thinner(context, coat) ]
          )
        end

        # As its sheet lays it, in as many coats as give the same film.
        def thinner(context, coat)
          step = coat.pass.step
          usual = [ coat.pass.product.wet_um(step["method"])&.value, Reference.film.wrinkle_wet_um ].compact.min
          coats = (step["coats"] * step["wet_um"] / usual.to_f).ceil
          return if coats > 30

          context.change(coat, "#{coats} coats of #{usual.round} µm", { "wet_um" => usual, "coats" => coats })
        end
      end
    end
  end
end
