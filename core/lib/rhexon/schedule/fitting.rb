module Rhexon
  module Schedule
    # Holds steps to what their kind may have: products, methods, ways, what it rubs with, and no stray fields. What
    # stood in a document before it was changed is left as it is.
    module Fitting
      module_function

      # @param step [Hash] of a schedule document
      # @param products [Hash{String=>Materials::Product}]
      # @raise [InvalidInput] when its kind cannot use its product
      def check_product!(step, products)
        product = products[step["product"]] or return
        refuse_danger!(step, product, products)
        if Kinds.laying.include?(step["kind"]) && Kinds.methods(step["kind"], product).any?
          return check_way_takes!(step, product)
        end
        return if Kinds.carries?(step["kind"], product)

        raise InvalidInput.new(unfit(step, product), where: "steps/#{step["id"]}/product",
                                                     accepted: accepted(step["kind"], products))
      end

      # Colourants are there, mix with what carries them, and leave room for it.
      # @raise [InvalidInput]
      def check_tint!(step, products)
        tint = step["tint"] or return
        product = products[step["product"]] or return
        where = "steps/#{step["id"]}/tint"
        known = Kinds.tints(product, products.values)
        tint.each do |part|
          next if known.any? { |colourant| colourant.id == part["product"] } || products[part["product"]]&.retired?

          name = products[part["product"]]&.name || part["product"]
          raise InvalidInput.new("#{name} does not go into #{product.name}", where: where,
                                 accepted: known.map(&:name).join(", "))
        end
        check_shares!(step, tint, where)
      end

      # @raise [InvalidInput]
      def check_shares!(step, tint, where)
        ids = tint.map { |part| part["product"] }
        Rhexon.refuse_unless(ids.uniq == ids, "A colourant is named twice", where: where, accepted: "each once")
        sum = tint.sum { |part| part["percent"] }
        most = [ 100 - (step["strength_percent"] || 1), 0 ].max
        Rhexon.refuse_unless(
          sum <= most,
          "The colourants come to #{format("%g", sum.round(2))} % of the mix and leave no room for the rest",
          where: where, accepted: "at most #{format("%g", most.round(2))} % together"
        )
      end

      # @raise [InvalidInput] with what does the same without the danger
      def refuse_danger!(step, product, products)
        refusal = Materials::Cautions.refusal(product) or return
        dyes = Kinds.sorted("stain", products.values).map(&:name).first(8)
        raise InvalidInput.new(
          "#{product.name} #{refusal.fetch("text")}", where: "steps/#{step["id"]}/product",
          accepted: [ refusal.fetch("instead"), *(dyes.join(", ") if dyes.any?) ].join(", such as ")
        )
      end

      # A slurry is made of a finish, a filler is wiped off.
      def check_way_takes!(step, product)
        takes = Kinds.way_takes(step["kind"]) or return
        return if takes.fetch(step["way"] || takes.keys.first, []).intersect?(Kinds.natures(product))

        fitting = takes.select { |_, natures| natures.intersect?(Kinds.natures(product)) }.keys
        raise InvalidInput.new(
          "#{product.name} does not go on that way", where: "steps/#{step["id"]}/way",
          accepted: Kinds.ways(step["kind"]).values_at(*fitting).join(", ")
        )
      end

      # What is changed or new is held to the methods and fields of its kind as well.
      # @param before [Hash, nil] the document that was changed: what stands in it stays as it is
      # @raise [InvalidInput]
      def check_changes!(document, before, products)
        check_fields!(document, before)
        changed(document, before).each do |step, was|
          unless was && was.values_at("kind", "product", "method") == step.values_at("kind", "product", "method")
            check_method!(step, products)
          end
        end
      end

      # @raise [InvalidInput] when a changed step has a field that its kind does not have
      def check_fields!(document, before = nil)
        changed(document, before).each do |step, was|
          check_grits!(step, was)
          check_way!(step)
          refuse_stray!(step, strays(step) - (was || {}).keys)
        end
      end

      # A document from outside has no fields but those of its kinds.
      # @raise [InvalidInput]
      def check_strays!(document)
        document["steps"].each { |step| refuse_stray!(step, strays(step)) }
      end

      # A document that was kept once, without what its kinds of step do not have: nothing plans with that.
      # @return [Hash] the same one where nothing of it strays
      def without_strays(document)
        return document if document["steps"].all? { |step| strays(step).empty? }

        document.merge("steps" => document["steps"].map { |step| step.except(*strays(step)) })
      end

      def strays(step) = step.keys - Kinds.fields(step["kind"])

      def refuse_stray!(step, strays)
        stray = strays.first or return
        raise InvalidInput.new("#{Words.kind(step["kind"])} has no #{stray.tr("_", " ")}",
                               where: "steps/#{step["id"]}/#{stray}", accepted: Kinds.fields(step["kind"]).join(", "))
      end

      # What rubs is known, and is of what its kind may rub with, where it is new or other than before.
      def check_grits!(step, was)
        [ *step["grits"], *step["scuff_with"] ].each do |grit|
          next if was && [ *was["grits"], *was["scuff_with"] ].include?(grit)

          check_abrasive!(step, Prep::Abrasive.read(grit))
        rescue InvalidInput => refusal
          raise InvalidInput.new(refusal.message, where: "steps/#{step["id"]}/grits")
        end
      end

      def check_abrasive!(step, abrasive)
        known = Kinds.abrasives(step["kind"])
        return if known.empty? || known.include?(abrasive.is)

        raise InvalidInput.new("#{Words.kind(step["kind"])} is not done with #{abrasive.words}", where: "grits",
                               accepted: known.join(", "))
      end

      # @raise [InvalidInput] when its kind is not done that way
      def check_way!(step)
        way = step["way"] or return
        known = Kinds.ways(step["kind"])
        return if known.key?(way)

        raise InvalidInput.new("#{Words.kind(step["kind"])} is not done by #{way.tr("_", " ")}",
                               where: "steps/#{step["id"]}/way", accepted: known.keys.join(", "))
      end

      # @return [Array<Array(Hash, Hash)>] steps that are new or other than before, each with what it was (nil: new)
      def changed(document, before)
        old = (before ? before["steps"] : []).to_h { |step| [ step["id"], step ] }
        document["steps"].map { |step| [ step, old[step["id"]] ] }.reject { |step, was| step == was }
      end

      def check_method!(step, products)
        product = products[step["product"]]
        return if product.nil? || step["method"].nil?

        known = Kinds.methods(step["kind"], product)
        return if known.include?(step["method"])

        raise InvalidInput.new(
          "#{product.name} cannot be #{Materials::Methods::DONE.fetch(step["method"])}: #{why_not(step["kind"])}",
          where: "steps/#{step["id"]}/method", accepted: known.map { |method|
            Materials::Methods::DONE.fetch(method)
          }.join(", ")
        )
      end

      def unfit(step, product)
        words = Words.kind(step["kind"])
        return "Spots are not mended with #{product.name}" if step["kind"] == "mend"
        return "#{words} lays nothing on, and names #{product.name}" unless Kinds.laying.include?(step["kind"])
        if step["kind"] == "coat" && product.film?
          return "#{product.name} cannot be laid on as a film: it has no wet film or no solids"
        end

        "#{words} cannot use #{product.name}: it wants #{Kinds.wants.fetch(step["kind"])}"
      end

      def accepted(kind, products)
        return nil unless Kinds.laying.include?(kind)

        names = Kinds.sorted(kind, products.values).first(8).map(&:name)
        names.empty? ? "#{Kinds.wants.fetch(kind)}, of which none is on the shelf" : names.join(", ")
      end

      def why_not(kind) = kind == "coat" ? "its page gives no wet film for that" : "that is not how it is laid on"
      private_class_method :refuse_danger!, :check_shares!, :check_way_takes!, :check_grits!, :check_abrasive!,
                           :changed, :check_method!, :unfit, :accepted, :why_not
    end
  end
end
