module Rhexon
  module Templates
    # A template as the schedule of a piece: faces by their kind, products by theirs, methods that there is gear for,
    # and what is otherwise by that, in words.
    class Application
      # @param template [Template]
      # @param piece [Planning::Piece]
      # @param shop [Planning::Shop]
      # @param values [Hash{String=>Object}] "step/field" => what it is set to; left out: as in the template
      # @param chosen [Hash{String=>String}] product of the template => product of the shop
      # @raise [InvalidInput]
      def initialize(template, piece, shop, values: {}, chosen: {})
        @template = template
        @piece = piece
        @shop = shop
        @values = checked(values)
        @shelf = ShelfMatch.new(shop.products.values, chosen, sheens)
        @faces = FaceMatch.new(template.faces, piece.faces)
      end

      # @return [Array<ShelfMatch::Match>] in the order in which they are used
      def matches = @matches ||= @template.products.map { |product| @shelf.match(product) }

      # @param there [Hash] product of the template
      # @return [Array<Materials::Product>] what may stand for it
      def offers(there) = @shelf.offers(there)

      # @return [Array<Hash>] products of the template that nothing on the shelf stands for
      def missing = matches.select { |match| match.here.nil? }.map(&:there)

      # @return [Array<Hash>] the same as products of rhexon-shop/1, with the figures of their kinds
      def to_buy
        missing.map { |there| { **there, "id" => id_here(there["id"]), "colour" => there["colour"] || "clear" } }
      end

      # @return [Hash] rhexon-schedule/2; what is missing has the ids that it has in +to_buy+
      # @raise [InvalidInput]
      def document
        @document ||= begin
          own = @template.use == @piece.use ? @template.schedule : @template.schedule.except("support")
          place = @piece.schedule.slice("room", "dry_room")
          Schedule::Document.check!(own.merge(place, "steps" => steps))
        end
      end

      # @return [Array<String>] what is otherwise than it was there, in words
      def differences
        document
        [ *wood, *@faces.differences, *set, *bought, *@changed ].uniq
      end

      private

      def checked(values)
        known = @template.parameters.to_h { |one| [ one.key, one ] }
        stray = (values.keys - known.keys).first
        Rhexon.refuse_unless(stray.nil?, "#{stray} is not varied here", where: "values",
                                                                        accepted: known.keys.join(", "))
        values.each { |key, value| known.fetch(key).check!(value) }
        values.reject { |key, value| known.fetch(key).value == value }
      end

      def sheens
        @values.filter_map { |key, value|
          step, field = key.split("/")
          [ @template.steps.find { |one| one["id"] == step }["product"], value ] if field == "sheen_gu"
        }.to_h
      end

      def steps
        @changed = []
        made = Varied.steps(@template.steps, @values).filter_map { |step| here(step) }
        gone = @template.steps.map { |step| step["id"] } - made.map { |step| step["id"] }
        made.map { |step| without_round(step, gone) }
      end

      # @return [Hash, nil] nil: none of its faces is here
      def here(step)
        faces, closes = @faces.ids(step["faces"]), @faces.ids(step["closes"])
        words = Schedule::Words.step(step, step["product"] && @template.product(step["product"])&.fetch("name"))
        return told("#{words} is left out: no such face") if faces == []

        placed(laid(step.merge("faces" => faces, "closes" => (closes unless closes == [])), words), words).compact
      end

      def told(words)
        @changed << words
        nil
      end

      # Rooms and tools that are not here.
      def placed(step, words)
        rooms, tools = @shop.rooms.keys, @shop.tools.map { |tool| tool["id"] }
        gone = { "room" => rooms, "dry_room" => rooms, "tool" => tools }.reject do |field, known|
          step[field].nil? || known.include?(step[field])
        end
        gone.each_key { |field| told("#{words}: no #{step[field]} here") }
        step.except(*gone.keys).merge(gone.key?("room") ? { "room" => other_room(step) }.compact : {})
      end

      def other_room(step)
        return @shop.room_for("sand") unless Work::Steps.lays?(step)

        @shop.room_for(step["method"] == "spray" ? "spray" : "finish")
      end

      def laid(step, words)
        tint = step["tint"]&.map { |part| part.merge("product" => id_here(part["product"])) }
        step = step.merge("product" => id_here(step["product"]), "thinner" => id_here(step["thinner"]),
                          "tint" => tint).compact
        product = products[step["product"]]
        product && step["method"] ? by_hand(step, product, words) : step
      end

      def id_here(there)
        return unless there

        here = matches.find { |match| match.there["id"] == there }.here
        here ? here.id : "#{Materials::Product::TO_BUY}#{there}"
      end

      # By the method that there is gear for, to the same dry film; another product to the film that its sheet gives.
      def by_hand(step, product, words)
        methods = Schedule::Kinds.methods(step["kind"], product)
        ways = methods & gear
        told("#{words}: nothing here to lay it on with") if ways.empty?
        return wet(step, product, words) if ways.include?(step["method"]) || ways.empty?

        told("#{words}: #{DONE.fetch(step["method"])} there, #{DONE.fetch(ways.first)} here")
        other = { "method" => ways.first, "gun" => nil, "tool" => nil }
        return step.merge(other).compact unless step["wet_um"]

        step.merge(other, Compare::OtherMethod.laying_for(product, step["wet_um"], step["coats"], ways.first)).compact
      end

      def products
        @products ||= @shop.products.merge(to_buy.to_h { |record| [ record["id"], Materials::Product.read(record) ] })
      end

      DONE = Materials::Methods::DONE
      private_constant :DONE

      def wet(step, product, words)
        usual = product.wet_um(step["method"])&.value
        match = matches.find { |one| one.here == product }
        return step if match.nil? || match.same?

        told("#{words}: #{step["wet_um"]} µm wet there, #{usual} µm here") if usual && step["wet_um"] != usual
        step.merge(Schedule::Swap.set(step, product)).compact
      end

      # A shop that sprays has a gun, whether it is on its list or not.
      def gear
        @gear ||= begin
          used = @shop.pieces.flat_map { |piece| piece.schedule["steps"].filter_map { |step| step["method"] } }
          Systems::Wish.gear_of(@shop) | used
        end
      end

      def without_round(step, gone)
        again = step["again"] or return step
        left = again["steps"] - gone
        left.empty? ? step.except("again") : step.merge("again" => again.merge("steps" => left))
      end

      def wood
        there, here = @template.wood, @piece.named_wood
        grain = ->(faces) { faces.select { |face| face["kind"] == "face" }.filter_map { |face| face["grain"] }.first }
        shown = @piece.faces.keys.find { |id| @piece.shown?(id) }
        grains = [ grain.call(@template.faces), shown && @piece.wood(shown) ]
        [ ("#{there} there, #{here} here" if there && here && there.casecmp(here) != 0),
          (grains.map { |one| one.tr("_", "-") }.then { |one, other| "#{one} grain there, #{other} grain here" } if
            grains.all? && grains.uniq.size > 1) ].compact
      end

      def set
        @template.parameters.filter_map do |one|
          value = @values[one.key] or next
          unit = one.unit && " #{one.unit}"
          "#{one.label} #{value}#{unit} in place of #{one.value}#{unit}"
        end
      end

      def bought
        matches.reject(&:same?).map do |match|
          there, here = match.there, match.here
          next "#{there["name"]} is not on the shelf" unless here

          gu = [ there["sheen_gu"], here.sheen_gu&.value ]
          sheen = gu.all? && gu.uniq.size > 1 ? ", #{gu.last.round} GU for #{gu.first.round}" : ""
          "#{here.name} for #{there["name"]}#{sheen}"
        end
      end
    end
  end
end
