module Rhexon
  module Planning
    # What moved against the plan that was kept, and why.
    module Moves
      # @!attribute from, to [Integer] minutes; from is nil for work that is new, to for work that is gone
      # @!attribute person   [String, nil] who does it now, when that is somebody else
      # @!attribute because  [String] what fixed the new start, or "new", "gone"
      Move = Struct.new(:key, :from, :to, :person, :because, keyword_init: true)

      module_function

      # @param plan [Plan]
      # @param previous [Hash{String=>Start}] where passes were
      # @param near_min [Integer] a start that moves by no more stays where it was
      # @return [Array<Move>] in order of the new start
      def for(plan, previous = plan.shop.previous, near_min: Start::NEAR_MIN)
        return [] if previous.empty?

        planned = plan.placements
          .select { |placement| placement.status == "planned" && placement.hands.any? }
          .to_h { |placement| [ placement.pass.key, placement ] }
        gone = previous.reject { |key, _| planned.key?(key) || logged?(plan, key) }
          .map { |key, was| Move.new(key: key, from: was.minute, because: "gone") }
        planned.filter_map { |key, placement| move(key, placement, previous[key], near_min) } + gone
      end

      def move(key, placement, was, near_min)
        return Move.new(key: key, to: placement.hands_start, because: "new") unless was
        other = was.person && was.person != placement.person
        return if (placement.hands_start - was.minute).abs <= near_min && !other

        Move.new(key: key, from: was.minute, to: placement.hands_start, person: (placement.person if other),
                 because: placement.because)
      end
      private_class_method :move

      def logged?(plan, key)
        plan.placements.any? { |placement| placement.status != "planned" && placement.pass.key == key }
      end

      private_class_method :logged?
    end
  end
end
