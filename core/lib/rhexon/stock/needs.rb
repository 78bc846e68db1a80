module Rhexon
  module Stock
    # What the passes still to come take from the shelf.
    class Needs
      # @!attribute first_at [Integer] minute it is first needed
      # @!attribute passes   [Array<Array(String, Float)>] pass key and grams
      Need = Struct.new(:product, :g, :ml, :first_at, :passes, keyword_init: true)

      # @param plan [Planning::Plan]
      # @return [Hash{String=>Need}] by product id, the soonest needed first
      def self.of(plan)
        plan.batches.each_with_object({}) do |batch, needs|
          batch.sheet.pours.each { |pour| take(needs, batch, pour) }
        end
      end

      def self.take(needs, batch, pour)
        id = pour.component.product or return
        need = needs[id] ||= Need.new(product: id, g: 0.0, ml: 0.0, first_at: batch.mixed_at, passes: [])
        need.g += pour.g
        need.ml += pour.ml
        batch.passes.each { |key| need.passes << [ key, pour.g / batch.passes.size ] }
      end
      private_class_method :take
    end
  end
end
