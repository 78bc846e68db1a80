module Rhexon
  module Schedule
    # What each kind of step may have (core/data/kinds.yml): its fields, and for work that lays something on, the
    # products and their methods.
    # The one rule that forms offer by and documents are held to.
    module Kinds
      module_function

      # @return [Array<String>] all kinds, in working order
      def all = table.kinds.keys

      # @return [Array<String>] fields a step of this kind may have
      def fields(kind) = table.common + rule(kind).fetch("fields")

      # @return [Array<String>] kinds that lay a product on
      def laying = @laying ||= all.select { |kind| rule(kind).key?("takes") }.freeze

      # @return [Hash{String=>String}] how work of a kind may be done, in words; none where there is one way
      def ways(kind) = rule(kind)["ways"] || {}

      # @return [Array<String>] what work of a kind may rub with: paper, pad, wool, powder, compound
      def abrasives(kind) = rule(kind)["abrasives"] || []

      # @return [Hash{String=>String}] what has to be on the shelf, in words, by kind
      def wants = laying.to_h { |kind| [ kind, rule(kind).fetch("wants") ] }

      # How a product may be laid on in a kind of step.
      # @param kind [String]
      # @param product [Materials::Product]
      # @return [Array<String>] methods, the usual one first; empty: the kind cannot use it
      def methods(kind, product)
        rule = rule(kind)
        return [] unless rule["takes"]&.intersect?(natures(product))

        rule["methods"] || film_methods(product)
      end

      # What a product can be to a step.
      # @return [Array<String>] of film, colour, filler, oil and wax
      def natures(product)
        {
          "film" => product.film? && film_methods(product).any?,
          "colour" => product.mechanism == "penetrating" && !product.filler?,
          "filler" => product.mechanism == "penetrating" && product.filler?,
          "oil" => table.oils.include?(product.class_id), "wax" => product.mechanism == "wax"
        }.select { |_, is| is }.keys
      end

      # @return [Array<String>] methods of a kind whose materials are no films
      def usual_methods(kind) = rule(kind).fetch("methods")

      # Products to offer for a kind of step: by role, the usual first; what holds wax after what does not; as they
      # stand on the shelf.
      # @param products [Enumerable<Materials::Product>]
      # @return [Array<Materials::Product>]
      def sorted(kind, products)
        roles = rule(kind).fetch("roles")
        fitting = products.select { |product| !product.retired? && methods(kind, product).any? }
        fitting.each_with_index
          .sort_by { |product, place| [ roles.index(product.role) || roles.size, product.waxy? ? 1 : 0, place ] }
          .map(&:first)
      end

      # @param step [Hash] of a schedule document
      # @param products [Hash{String=>Materials::Product}]
      # @raise [InvalidInput] when its kind cannot use its product
      def check_product!(step, products)
        product = products[step["product"]] or return
        if laying.include?(step["kind"]) && methods(step["kind"], product).any?
          return check_way_takes!(step, product)
        end

        raise InvalidInput.new(unfit(step, product), where: "steps/#{step["id"]}/product",
                                                     accepted: accepted(step["kind"], products))
      end

      # A slurry is made of a finish, a filler is wiped off.
      def check_way_takes!(step, product)
        takes = rule(step["kind"])["way_takes"] or return
        return if takes.fetch(step["way"] || takes.keys.first, []).intersect?(natures(product))

        fitting = takes.select { |_, natures| natures.intersect?(natures(product)) }.keys
        raise InvalidInput.new(
          "#{product.name} does not go on that way", where: "steps/#{step["id"]}/way",
          accepted: ways(step["kind"]).values_at(*fitting).join(", ")
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
          stray = (step.keys - fields(step["kind"]) - (was || {}).keys).first or next
          raise InvalidInput.new("#{Words.kind(step["kind"])} has no #{stray.tr("_", " ")}",
                                 where: "steps/#{step["id"]}/#{stray}", accepted: fields(step["kind"]).join(", "))
        end
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
        known = abrasives(step["kind"])
        return if known.empty? || known.include?(abrasive.is)

        raise InvalidInput.new("#{Words.kind(step["kind"])} is not done with #{abrasive.words}", where: "grits",
                               accepted: known.join(", "))
      end

      def check_way!(step)
        way = step["way"] or return
        known = ways(step["kind"])
        return if known.key?(way)

        raise InvalidInput.new("#{Words.kind(step["kind"])} is not done by #{way.tr("_", " ")}",
                               where: "steps/#{step["id"]}/way", accepted: known.keys.join(", "))
      end

      # @return [Boolean] whether it may stand in place of the thinner a sheet names
      def thinner?(product) = table.thinners.include?(product.class_id)

      def film_methods(product)
        return [] unless product.solids_volume_percent&.value

        table.film_methods.select { |method| product.wet_um(method)&.value }
      end

      def rule(kind) = table.kinds.fetch(kind)
      def table = Reference.kinds

      # @return [Array<Array(Hash, Hash)>] steps that are new or other than before, each with what it was (nil: new)
      def changed(document, before)
        old = (before ? before["steps"] : []).to_h { |step| [ step["id"], step ] }
        document["steps"].map { |step| [ step, old[step["id"]] ] }.reject { |step, was| step == was }
      end

      def check_method!(step, products)
        product = products[step["product"]]
        return if product.nil? || step["method"].nil?

        known = methods(step["kind"], product)
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
        return "#{words} lays nothing on, and names #{product.name}" unless laying.include?(step["kind"])
        if step["kind"] == "coat" && product.film?
          return "#{product.name} cannot be laid on as a film: it has no wet film or no solids"
        end

        "#{words} cannot use #{product.name}: it wants #{rule(step["kind"]).fetch("wants")}"
      end

      def accepted(kind, products)
        return nil unless laying.include?(kind)

        names = sorted(kind, products.values).first(8).map(&:name)
        names.empty? ? "#{rule(kind).fetch("wants")}, of which none is on the shelf" : names.join(", ")
      end

      def why_not(kind) = kind == "coat" ? "its page gives no wet film for that" : "that is not how it is laid on"
      private_class_method :check_way_takes!, :check_grits!, :check_abrasive!, :check_way!, :film_methods, :rule,
                           :table, :unfit, :accepted, :why_not, :changed, :check_method!
    end
  end
end
