module Rhexon
  module Checks
    module Rules
      # film.too_thin: a film that was built is under what the use needs. Silent where it is thick enough or short by
      # little, for what is wiped, padded, flooded or rubbed, for backs and insides, and for a piece that has no film
      # coat yet.
      module FilmTooThin
        # More coats than that are another schedule.
        MOST_MORE = Reference.limits.most_more_coats

        module_function

        def call(context)
          thin_faces = context.walks
            .select { |face, _| context.piece.shown?(face) }
            .filter_map { |face, walk| on_face(context, face, walk) }
          thin_faces.min_by { |finding| [ Catalogue::LEVELS.index(finding.level), finding.figures[:film_um] || 0 ] }
            .then { |finding| [ finding ].compact }
        end

        def on_face(context, face, walk)
          last = walk.last_coat or return
          least = Film::MinimumThickness.um(context.piece.use, walk.final)
          coat = context.coats.find { |placement| placement.pass.key == last.key }
          return unstated(context, coat) if least.nil?

          level = Film::MinimumThickness.short(walk.final.total_um, least) or return
          finding(context, face, walk, coat, least, level)
        end

        def unstated(context, coat)
          context.finding("film.too_thin", "note", "Use not stated",
                          "Say what the piece must stand up to, and Rhexon can tell whether the film is thick enough.",
                          placement: coat)
        end

        def finding(context, face, walk, coat, least, level)
          film = walk.final.total_um
          sentence = "#{film.round} ± #{walk.final.sd_um.round} µm on #{face} when done. #{least} µm is usual for " \
                     "#{use(context)}: #{level == "note" ? "a little thin" : "it will wear through early"}."
          context.finding(
            "film.too_thin", level, "Thin for its use", sentence, placement: coat,
            figures: { film_um: film.round(1), sd_um: walk.final.sd_um.round(1), least_um: least },
            remedies: remedies(context, coat, least - film)
          )
        end

        def remedies(context, coat, lacking)
          return [] unless coat.status == "planned"

          ways = [ heavier(context, coat, lacking), more_coats(context, coat, lacking) ]
          context.piece.house["coat_weight"] == "thin" ? ways.reverse : ways
        end

        def more_coats(context, coat, lacking)
          dry = Film::Coat.dry_um(coat.pass.wet_um, coat.pass.solids_percent)
          more = [ (lacking / dry).ceil, 1 ].max
          coats = coat.pass.step["coats"] + more
          return if more > MOST_MORE || coats > 30

          label = more == 1 ? "One more coat" : "#{more} more coats"
          context.change(coat, "#{label}, + #{(dry * more).round} µm", { "coats" => coats })
        end

        # Heavier coats of this step, by at most a quarter over what the method usually leaves.
        def heavier(context, coat, lacking)
          share = [ lacking, 2.0 ].max / coat.pass.step["coats"] * 1.3
          wet = ((coat.pass.wet_um + Film::Coat.wet_um(share, coat.pass.solids_percent)) / 5.0).ceil * 5
          usual = coat.pass.product.wet_um(coat.pass.method)&.value
          return if usual.nil?

          if wet > usual * Reference.limits.heaviest_share
            return context.ruled_out("Heavier coats", "#{wet} µm wet runs where #{usual.round} µm is usual")
          end

          context.change(coat, "#{coat.pass.step["coats"] > 1 ? "Coats" : "Coat"} to #{wet} µm wet",
                         { "wet_um" => wet })
        end

        def use(context)
          {
            "show" => "a show piece", "furniture" => "furniture", "table_top" => "a table top",
            "bar_top" => "a bar top", "floor" => "a floor", "marine" => "marine exterior"
          }.fetch(context.piece.use, "its use")
        end
      end
    end
  end
end
