module Rhexon
  module Search
    # How long before its due date each piece has to be ready in a plan, so that the date is kept as surely as a promise
    # asks for (limits.yml, promise). A spread by the drying and the hands that are still to come, one after another as
    # if no night took anything up: quick enough to weigh builds by. What is told of a date is drawn (Chance).
    class Margins
      # @param model [Model]
      def initialize(model)
        @model = model
        @sure = Statistics::Normal.quantile(Reference.limits.promise) - Statistics::Normal.quantile(model.shop.share)
      end

      # @param piece [Integer]
      # @return [Float] minutes
      def [](piece) = (@margins ||= {})[piece] ||= [ @sure, 0.0 ].max * spread(piece)

      private

      # Standard deviation: a belief errs alike for all coats of a product, a coat and hands each for itself.
      def spread(piece)
        beliefs = Hash.new(0.0)
        apart = 0.0
        @model.open_passes(piece).each do |index|
          apart += (Reference.drying.chance.hand_sd * @model.times.hands[index])**2
          dryings(index).each do |product, phase, minutes|
            beliefs[[ product, phase ]] += minutes
            apart += (@model.shop.beliefs.coat_sd * minutes)**2
          end
        end
        Math.sqrt(apart + beliefs.sum { |(product, phase), minutes|
          (@model.shop.beliefs.belief_for(product, phase).s * minutes)**2
        })
      end

      # What a pass waits for longest, and what it leaves to dry where it is the last.
      # @return [Array<Array(Materials::Product, String, Float)>] product, phase and minutes
      def dryings(index)
        longest = @model.drying.waits[index].max_by { |wait| minutes(wait.opening) }
        ready = @model.drying.ready[index]
        [ longest && drying(longest.lower, longest.opening), ready && drying(index, ready) ].compact
      end

      def drying(lower, opening)
        product = Planning::MilestoneCalculator.dries(@model.passes[lower])
        part = opening.parts.max_by(&:needed)
        [ product, part.phase, minutes(opening) ] if product && part
      end

      # In the air that is now.
      def minutes(opening) = ((opening.at(@model.shop.now) || @model.horizon) - @model.shop.now).to_f
    end
  end
end
