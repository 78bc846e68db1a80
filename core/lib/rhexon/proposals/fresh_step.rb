module Rhexon
  module Proposals
    # A step as it begins: values from the wood, the shelf, what is there and what follows.
    class FreshStep
      # Role of the products that coats of a role are made of; a sealer stands for all of them.
      SEALS = { "seal" => "sealer", "barrier" => "barrier", "washcoat" => "washcoat", "primer" => "primer" }.freeze

      # @param place [Place]
      def initialize(place)
        @place = place
        @look = FreshLook.new(place)
        @ways = HouseWays.new(place)
      end

      # Why the loop of a new look has so many rounds, where the shop's own tell.
      # @return [String, nil]
      def why = @look.why

      # @param kind [String]
      # @param set [Hash] what it is to have
      # @return [Hash, nil] a step of a schedule document; nil: the shelf has nothing for it
      def of(kind, set)
        step = { "id" => Schedule::Edit.free_id(@place.piece.schedule), "kind" => kind, **set }
        Schedule::Kinds.laying.include?(kind) ? laid(step) : step.merge(values(kind))
      end

      private

      def surface = @place.surface
      def shop = @place.shop
      def last = @place.last

      def values(kind)
        case kind
        when "sand" then { "grits" => sanding }
        when "rub_out" then { "grits" => rubbing }
        when "polish" then { "grits" => %w[compound-medium compound-fine] }
        when "strip" then surface.bare? ? { "way" => "sanding", "grits" => [ "P150" ] } : {}
        when "clean" then { "way" => Work::Kinds::Clean.way_for(surface.residue) }
        when "look" then @look.fields
        else {}
        end
      end

      # --- what lays something on

      def laid(step)
        thinned = @ways.thinned(usual({ **step, "role" => "top" })) if step["role"] == "seal"
        return coat({ **step, **thinned }, shop.products.fetch(thinned["product"])) if thinned

        product = usual(step) or return
        coat(step, product)
      end

      def coat(step, product)
        before = used(step) { |other| other["product"] == product.id }
        method = before ? before["method"] : Schedule::Kinds.methods(step["kind"], product).first
        made = { **step, "product" => product.id, "method" => method, **@ways.added(product, method) }
        case step["kind"]
        when "tone", "glaze" then made.merge(Colour::RecipeStep.laid(step["kind"], product))
        when "coat" then made.merge("wet_um" => wet_um(step, product, method))
        else made
        end
      end

      # What the schedule lays already for the same purpose, else what the shelf has for it.
      def usual(step)
        named = used(step) { |other| other["role"] == step["role"] }
        found = named && shop.products[named["product"]]
        return found if found && fits?(step, found)

        fitting = Schedule::Kinds.sorted(step["kind"], shop.products.values).select { |one| fits?(step, one) }
        wanted = SEALS[step["role"]]
        sealing = [ wanted, (wanted && "sealer") ].compact
          .filter_map { |role| fitting.find { |one| one.role == role } }.first
        sealing || (fitting.first && @ways.shellac(fitting.first, fitting))
      end

      def used(step, &) = @place.steps.reverse.select { |other| other["kind"] == step["kind"] }.find(&)

      def fits?(step, product)
        step["kind"] != "fill" ||
          Schedule::Kinds.natures(product).include?(step["way"] == "slurry" ? "film" : "filler")
      end

      # A washcoat builds so little that the wood still drinks.
      def wet_um(step, product, method)
        return product.wet_um(method).value unless step["role"] == "washcoat"

        [ (Reference.colour.uptake.washcoat_um * 100 / product.solids_volume_percent.value).floor, 5 ].max
      end

      # --- what rubs

      # Papers from the state of the wood to the end grit by what follows, in the short steps of bare wood. What was not
      # sanded yet begins with the paper of its state.
      def sanding
        to = Prep::Abrasive.read(end_grit)
        papers = shop.abrasives.select(&:paper?)
        from = surface.scratch_um || Prep::Abrasive.read(Reference.abrasives.from.fetch("planed")).mean_um
        return [ to.to_s ] unless from > to.mean_um

        first = papers.min_by { |one| (one.mean_um - from).abs } unless sanded?
        from = first.mean_um if first
        rungs = Prep::Ladder.build(from_um: from, to: to, shelf: papers, stained: true) || [ to ]
        (first ? [ first, *rungs ] : rungs).map(&:to_s).uniq
      end

      def sanded? = @place.before.any? { |step| Work::Kind.find(step["kind"]).abrades? }

      # By what follows; wood that blotches is sanded as under a dye.
      def end_grit
        grits = Reference.abrasives.sanded_to
        return grits.oil if follows?("oil")
        return grits.film unless follows?("stain")

        pigment? && !spots? ? grits.pigment : grits.dye
      end

      def follows?(kind) = @place.following&.fetch("kind") == kind
      def pigment? = shop.products[@place.following["product"]]&.optics&.dig("kind") == "pigment"

      def spots?
        species = @place.piece.species
        species && Colour::Wood.for_species(species).spots
      end

      # To the middle of the sheen that is wanted, or to the usual one.
      def rubbing
        low, high = @place.piece.wanted["gu"]
        gu = low ? (low + high) / 2.0 : Reference.abrasives.usual_gu
        shelf = shop.rubs(@place.piece)
        rungs = RubOut.to_sheen(surface, gu, shelf)
        (rungs || [ Prep::Ladder.last_for(gu, shelf: shelf, film_gu: surface.film_gu) ]).map(&:to_s)
      end
    end
  end
end
