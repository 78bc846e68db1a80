module Rhexon
  module Colour
    # A recipe as work: what a step has to say so that its mix is this recipe, by weight.
    module RecipeStep
      # Kinds of work that a recipe may become.
      KINDS = %w[stain tone glaze mend].freeze

      module_function

      # @param shares [Hash{String=>Float}] product id => share of the mix by weight
      # @param carrier [Materials::Product, nil] what the rest is; a recipe with a stain in it brings its own
      # @param products [Hash{String=>Materials::Product}]
      # @return [Hash] "product", "strength_percent" and "tint" of a step
      # @raise [InvalidInput] where it has nothing to be carried in
      def fields(shares, carrier:, products:)
        percents = shares.transform_values { |share| (share * 100).round(3) }
        stain = carrier.nil? && percents.keys.select { |id| stain?(products[id]) }.max_by { |id| percents[id] }
        base = stain ? products[stain] : carrier
        Rhexon.refuse_unless(base, "The recipe is of concentrates and needs something to carry them", where: "carrier",
                                   accepted: "a clear dye base, a glaze medium or a clear finish")
        tint = percents.except(*stain).map { |id, percent| { "product" => id, "percent" => percent } }
        strength = percents[stain] if stain
        { "product" => base.id, "strength_percent" => (strength if strength&.<(100)),
          "tint" => (tint if tint.any?) }.compact
      end

      # @param ids [Array<String>] products of a recipe
      # @return [Boolean] whether it brings what carries it
      def carried?(ids, products) = ids.any? { |id| stain?(products[id]) }

      # What may carry a recipe without changing it: a clear base, medium or finish.
      # @param products [Enumerable<Materials::Product>]
      # @return [Array<Materials::Product>] the usual one first
      def carriers(kind, products)
        # Spots are touched up with what is toned with.
        Schedule::Kinds.sorted(kind == "mend" ? "tone" : kind, products).select do |product|
          kind == "stain" ? Optics.for(product).then { |it| it.known && it.k.sum.zero? } : clear?(product)
        end
      end

      # How a tinted film is laid on, as recipes are reckoned: a toner as a mist of what a coat is, a glaze wiped back
      # where it can be.
      # @param kind [String] tone or glaze
      # @return [Hash] "wet_um" and "wipe_off" of a step
      def laid(kind, product)
        wiped = true if kind == "glaze" && product.milestone("wipe_off_latest")&.value
        { "wet_um" => Reference.colour.tint.wet_um[kind], "wipe_off" => wiped }.compact
      end

      # Where colour goes in a schedule: into the wood before the first that is laid on, over the last that seals
      # it, once that is sanded; spots are touched up in the end.
      # @param document [Hash] of a schedule
      # @param kind [String] of KINDS
      # @return [String, nil] id of the step it comes after; nil: at the beginning
      def after(document, kind)
        steps = document["steps"]
        laid = steps.index { |step| Work::Steps.covers?(step) }
        last = steps.last&.fetch("id")
        return last if kind == "mend"
        return laid ? before(steps, laid) : last if kind == "stain"

        seal = steps.rindex { |step| Work::Steps.film?(step) && Work::Kind.find(step["kind"]).phase(step) == "seal" }
        over = seal || laid or return
        sanded = steps.drop(over + 1).take_while { |step| Work::Kind.find(step["kind"]).abrades? }
        (sanded.last || steps[over])["id"]
      end

      def before(steps, at) = at.zero? ? nil : steps[at - 1]["id"]
      def clear?(product) = !%w[tinted pigmented].include?(product.colour)
      def stain?(product) = product && Schedule::Kinds.natures(product).include?("colour")
      private_class_method :before, :clear?, :stain?
    end
  end
end
