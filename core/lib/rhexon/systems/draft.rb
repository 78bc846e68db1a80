module Rhexon
  module Systems
    # The steps of a system for a piece, before anything is reckoned: what an old finish asks, filler, what is laid on.
    class Draft
      # @param system [System]
      # @param piece [Planning::Piece]
      # @param wish [Wish]
      # @param shelf [Shelf]
      # @param shop [Planning::Shop]
      # @param kept [Kept]
      def initialize(system, piece, wish, shelf, shop, kept)
        @system = system
        @piece = piece
        @wish = wish
        @shelf = shelf
        @shop = shop
        @kept = kept
      end

      # Why it cannot go on from what is done.
      # @return [String, nil] a few words
      def blocked
        return "it would hide the colour that is on" if @system.opaque? && @kept.coloured?

        "it would not get into the wood any more" if @system.strips? && @kept.film? && onward.on.nil?
      end

      # What each of the system's layers is laid on with.
      # @return [Array<Array(Materials::Product, String)>] nil for work that lays nothing on, and where there is nothing
      def picks = @picks ||= @system.lays.map { |laid| laid["class"] && (of_top(laid) || @shelf.for(laid)) }

      # @return [Boolean] there is something for all of it
      def whole? = @system.lays.zip(picks).none? { |laid, pick| laid["class"] && pick.nil? }

      # @return [Array<Hash>] steps from an old finish up to the last that is laid on, without preparing bare wood; what
      #   is kept stands first
      def laid
        return numbered([ *onward.begun, *onward.scuffed, *layers ]) if @kept.film?

        numbered([ *@kept.steps, *found_work, *coloured, *filled, *layers ])
      end

      # @param steps [Array<Hash>] what is kept first
      # @return [Array<Hash>] with ids in their order, each in the room that is used for it
      def numbered(steps)
        stay = @kept.steps.size
        new = steps.drop(stay)
        ids = @kept.free_ids(new.size)
        steps.first(stay) + new.zip(ids).map { |step, id| { **places(step), **step, "id" => id } }
      end

      # Bare wood, or wood that will be.
      def bare? = (!coated? || @system.strips? || @kept.stripped?) && !@kept.film?

      # Water goes straight on wood that stands up.
      def raises?
        return false if @piece.use == "floor" || @piece.faces.keys.any? { |id| @piece.wood(id).start_with?("mdf") }

        stain = coloured.first
        stain ? @shop.products.fetch(stain["product"]).waterborne? : @system.lays.first["raise"] && filled.empty?
      end

      private

      def onward = @onward ||= Onward.new(@system, @kept, picks)

      # Floors lie where they lie.
      def places(step)
        return {} if @piece.use == "floor"

        lays = Work::Steps.lays?(step)
        use = lays ? laying_room(step) : ("sand" if Work::Kind.find(step["kind"]).abrades?)
        { "room" => use && @shop.room_for(use), "dry_room" => (@shop.room_for("dry") if lays) }.compact
      end

      def laying_room(step) = step["method"] == "spray" ? "spray" : "finish"

      def coated? = @piece.faces.each_value.any? { |face| %w[coated unknown].include?(face.dig("found", "is")) }

      WASH = { "kind" => "clean", "way" => "wash" }.freeze
      private_constant :WASH

      # An old finish goes off, or is washed, scuffed and locked under dewaxed shellac.
      def found_work
        return [] if !coated? || @kept.stripped?
        return [ { "kind" => "strip", "way" => "scraping" } ] if @system.strips?

        [ (WASH unless @kept.kind?("clean")), (Onward::SCUFF unless @kept.kind?("level")), *locked ].compact
      end

      # What melts into what is there needs nothing in between.
      def locked
        return [] if melts_in?

        product, way = @shelf.barrier
        product ? [ coat(product, way, "role" => "barrier", "coats" => 1) ] : []
      end

      def melts_in?
        families = @piece.faces.each_value.filter_map { |face| face.dig("found", "family") }.uniq
        laid = picks.compact.map(&:first)
        families.one? && laid.first.family == families.first &&
          laid.none? { |product| Materials::Pairs.refused(Work::Start.stand_in(families.first), product) }
      end

      # Colour goes into bare wood, under what is clear.
      def coloured
        @coloured ||= colour? ? [ Colouring.step(@shop, @piece, @wish) ].compact : []
      end

      def colour? = bare? && !@system.opaque? && !@kept.kind?("stain", "fill")
      def open? = @piece.faces.keys.any? { |id| @piece.shown?(id) && @piece.wood(id) != "closed" }

      def filled
        return [] unless @wish.pores == "closed" && open? && bare? && !@kept.kind?("fill")

        first, way = picks.compact.first
        { "filler" => -> { by_filler(first) }, "slurry" => -> { by_slurry(first, way) } }[@system.fills]&.call || []
      end

      def by_filler(first)
        filler = @shelf.filler(first.waterborne?) or return []
        [ { "kind" => "fill", "product" => filler.id, "method" => Schedule::Kinds.methods("fill", filler).first,
            "coats" => 2 }, { "kind" => "sand", "grits" => [ "P220" ] } ]
      end

      def by_slurry(product, way)
        ways = Schedule::Kinds.methods("fill", product)
        [ { "kind" => "fill", "way" => "slurry", "product" => product.id, "grits" => [ "P400" ], "coats" => 2,
            "method" => ways.include?(way) ? way : ways.first } ]
      end

      # It goes on with what is on, where that has the sheen.
      def of_top(laid)
        top = @kept.top or return
        product = @shop.products[top["product"]]
        [ product, top["method"] ] if @shelf.fits?(product, top["method"], laid) && sheen?(product, laid)
      end

      def sheen?(product, laid)
        gu = product.sheen_gu&.value
        @wish.sheen.nil? || gu.nil? || !laid.equal?(@system.top) || gu.between?(*@wish.sheen)
      end

      def layers
        @system.lays.zip(picks).drop(onward.first_to_come).map do |laid, (product, way)|
          next { "kind" => "rub_out", "grits" => [ rubs ] } if laid["do"] == "rub"

          coats = still(laid, product)
          next coat(product, way, "role" => laid["role"] || "top", "coats" => coats) if laid["do"] == "coat"

          { "kind" => laid["do"], "product" => product.id, "method" => way, "coats" => coats }.compact
        end
      end

      # @return [Integer, nil] coats that are not on yet, at least the one it is taken up with
      def still(laid, product)
        coats = System.first_coats(laid)
        coats && [ coats - @kept.coats(product.id), 1 ].max
      end

      def coat(product, way, fields)
        { "kind" => "coat", "product" => product.id, "method" => way, "wet_um" => product.wet_um(way).value,
          "coats_a_day" => @system.coats_a_day, **fields }.compact
      end

      # What takes the shine off an even film: wool, or the finest pad where the house has no wool.
      def rubs = @shop.rubs(@piece).map(&:to_s).include?("wool-0000") ? "wool-0000" : "pad-fine"
    end
  end
end
