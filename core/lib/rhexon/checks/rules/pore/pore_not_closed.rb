module Rhexon
  module Checks
    module Rules
      # pore.not_closed: closed pores are wanted and the filling, as reckoned, leaves them open. Silent where the piece
      # does not ask for closed pores, and once a look has said that they are closed.
      module PoreNotClosed
        module_function

        def call(context)
          return [] unless context.piece.wanted["pores"] == "closed"

          shown = context.walks.select { |face, walk| context.piece.shown?(face) && walk.course.any? }
          face, walk = shown.reject { |id, one| one.final.pores == "closed" || looked?(context, id) }
            .min_by { |_, one| one.final.pores_filled }
          face ? [ finding(context, face, walk) ] : []
        end

        # A look that sends the filling round again decides it.
        def looked?(context, face)
          steps = context.document["steps"]
          steps.any? do |look|
            look["again"] && (look["faces"].nil? || look["faces"].include?(face)) &&
              steps.any? { |step| step["kind"] == "fill" && look["again"]["steps"].include?(step["id"]) }
          end
        end

        def finding(context, face, walk)
          filled = walk.final.pores_filled
          fill = context.document["steps"].reverse.find { |step| step["kind"] == "fill" }
          context.finding(
            "pore.not_closed", "caution", "Pores stay open",
            "The pores of #{face} are about #{(filled * 100).round} % full in the end, and closed from 90 % on. Fill " \
            "them once more, or until a look says that none is open.",
            placement: context.placements.reverse.find { |one| one.pass.leaves_something? },
            figures: { filled: filled.round(3) }, remedies: fill ? [ again(context, fill) ] : ways(context)
          )
        end

        # Filled until a look against the light says so.
        def again(context, fill)
          after = context.document["steps"][context.document["steps"].index(fill) + 1]
          steps = [ fill, (after if after && %w[sand level].include?(after["kind"])) ].compact
          again = {
            "steps" => steps.map { |step| step["id"] }, "rounds" => 1, "most" => Proposals::Rounds.most_fillings
          }
          look = {
            "kind" => "look", "milestone" => "sand", "asks" => "No open pore against the light?", "again" => again
          }
          context.put_after(steps.last, "Fill until a look says closed", look, faces: fill["faces"])
        end

        # The way of the house first.
        def ways(context)
          coat = context.document["steps"].find { |step| step["kind"] == "coat" } or return []
          all = { "filler" => filler(context), "slurry" => slurry(context, coat),
                  "build" => built(context, coat), "epoxy" => epoxy(context, coat) }
          own = context.piece.house["pores"]
          [ all[own], *all.except(own).values ]
        end

        def slurry(context, coat)
          product = context.shop.products[coat["product"]]
          return unless Schedule::Kinds.methods("fill", product).include?("wipe") && product.film?

          fill = { "kind" => "fill", "way" => "slurry", "product" => product.id, "method" => "wipe",
                   "grits" => [ "P400" ] }
          context.put_after(coat, "Fill with a slurry of #{product.name}", fill)
        end

        # Cutting back takes the film and leaves what is in the pores.
        def built(context, coat)
          return if coat["coats"].to_i + BUILDS > 30

          again = { **coat.slice("product", "method", "wet_um", "thinning", "role"), "kind" => "coat",
                    "coats" => BUILDS }
          context.put_before(coat, "Build it up and cut it back",
                             [ again, { "kind" => "level", "aim" => "cut_back", "grits" => [ "P220" ] } ])
        end

        BUILDS = 3

        def epoxy(context, coat)
          product = context.shelf.find { |one| one.class_id == "epoxy_clear" } or return
          return unless context.holds?(product, context.shop.products[coat["product"]])

          laid = { "kind" => "coat", "role" => "build", "product" => product.id, "method" => "brush",
                   "wet_um" => product.wet_um("brush").value, "coats" => 2 }
          context.put_before(coat, "Close them with #{product.name}",
                             [ laid, { "kind" => "level", "aim" => "between", "grits" => [ "P220" ] } ])
        end

        def filler(context)
          product = context.shelf.find { |one| Schedule::Kinds.natures(one).include?("filler") } or return
          coat = context.document["steps"].find { |step| step["kind"] == "coat" } or return
          fill = { "kind" => "fill", "product" => product.id,
"method" => Schedule::Kinds.methods("fill", product).first }
          context.put_before(coat, "Fill with #{product.name} and sand it back",
                             [ fill, { "kind" => "sand", "grits" => [ "P220" ] } ])
        end
      end
    end
  end
end
