module Rhexon
  module Schedule
    # What each kind of step may have (core/data/kinds.yml): its fields, and for work that lays something on, the
    # products and their methods.
    # The one rule that forms offer by, and that {Fitting} holds documents to.
    module Kinds
      # Classes that are glazed with, whatever role they are given.
      GLAZES = %w[oil_glaze waterborne_glaze].freeze

      module_function

      # @return [Array<String>] all kinds, in working order
      def all = table.kinds.keys

      # @return [Array<String>] fields a step of this kind may have
      def fields(kind) = table.common + rule(kind).fetch("fields")

      # @return [Array<String>] kinds that lay a product on
      def laying = @laying ||= all.select { |kind| rule(kind).key?("takes") }.freeze

      # @return [Boolean] work that lays nothing on faces may be done with this, by spots
      def carries?(kind, product) = rule(kind)["carries"]&.intersect?(natures(product)) || false

      # @return [Hash{String=>String}] how work of a kind may be done, in words; none where there is one way
      def ways(kind) = rule(kind)["ways"] || {}

      # @return [Hash{String=>Array<String>}, nil] natures of the products that each way of a kind takes
      def way_takes(kind) = rule(kind)["way_takes"]

      # @return [Hash{String=>String}, nil] answers of work that is done that way, in words
      def answers(kind, way) = rule(kind).dig("answers", way)

      # @return [Array(String, Numeric, Numeric, Integer), nil] unit of what is read, its least and most, and how many
      #   numbers at most
      def reads(kind, way) = rule(kind).dig("reads", way)

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

        return film_methods(product) unless rule["methods"]

        rule["takes"].include?("glaze") ? rule["methods"] & film_methods(product) : rule["methods"]
      end

      # What a product can be to a step.
      # @return [Array<String>] of film, glaze, colour, filler, oil and wax
      def natures(product) = (@natures ||= ObjectSpace::WeakMap.new)[product] ||= found_natures(product).freeze

      def found_natures(product)
        return [] if Materials::Cautions.refusal(product)

        {
          "film" => product.film? && film_methods(product).any?,
          "glaze" => product.film? && (product.role == "glaze" || GLAZES.include?(product.class_id)),
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

      # What may colour a mix by weight: a concentrate goes into any, a stain into what has its carrier.
      # @param product [Materials::Product] what is coloured
      # @param products [Enumerable<Materials::Product>]
      # @return [Array<Materials::Product>]
      def tints(product, products)
        products.select do |colourant|
          next if colourant.retired? || colourant.id == product.id
          next colourant.carrier == product.carrier if natures(colourant).include?("colour")

          concentrate?(colourant) && Materials::Cautions.refusal(colourant).nil?
        end
      end

      # @return [Boolean] whether it colours any mix, whatever carries it
      def concentrate?(product) = table.colourants.include?(product.class_id)

      # @return [Boolean] whether it may stand in place of the thinner a sheet names
      def thinner?(product) = table.thinners.include?(product.class_id)

      def film_methods(product)
        return [] unless product.solids_volume_percent&.value

        table.film_methods.select { |method| product.wet_um(method)&.value }
      end

      def rule(kind) = table.kinds.fetch(kind)
      def table = Reference.kinds

      private_class_method :found_natures, :film_methods, :rule, :table
    end
  end
end
