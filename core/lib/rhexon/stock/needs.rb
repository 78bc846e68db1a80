module Rhexon
  module Stock
    # What the passes still to come take from the shelf.
    module Needs
      # @!attribute first_at [Integer] minute it is first needed
      # @!attribute passes   [Array<Array(String, Float)>] pass key and grams
      Need = Struct.new(:product, :g, :ml, :first_at, :passes, keyword_init: true)

      # @param plan [Planning::Plan]
      # @return [Hash{String=>Need}] by product id, the soonest needed first
      def self.for(plan)
        mixed = (plan.shop.stock || []).flat_map(&:passes)
        plan.batches.each_with_object({}) do |batch, needs|
          open = batch.passes - mixed
          batch.sheet.pours.each { |pour| take(needs, batch, pour, open) } if open.any?
        end
      end

      # Passes that are mixed for already take nothing more.
      def self.take(needs, batch, pour, open)
        id = pour.component.product or return
        share = open.size / batch.passes.size.to_f
        need = needs[id] ||= Need.new(product: id, g: 0.0, ml: 0.0, first_at: batch.mixed_at, passes: [])
        need.g += pour.g * share
        need.ml += pour.ml * share
        open.each { |key| need.passes << [ key, pour.g * share / open.size ] }
      end
      private_class_method :take
    end
  end
end
