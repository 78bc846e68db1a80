module Rhexon
  module Boards
    # A strip of a board that shows the base after each stage, the bare wood first.
    module StepStrip
      module_function

      # @param base [Array<Hash>] steps of a schedule document
      # @return [Array<Array<Hash>>] layers of each stage: one for each coat of each step that can change the look, as
      #   in Colour::Looks
      def stages(base)
        after = base.each_with_index.flat_map do |step, index|
          work = Work::Kind.find(step["kind"])
          next [] if work.idle? || work.phase(step) == "prepare"
          next [ base.first(index) + [ step ] ] unless step.key?("coats")

          (1..step["coats"]).map { |coats| base.first(index) + [ step.merge("coats" => coats) ] }
        end
        [ base.take_while { |step| Work::Steps.prepares?(step) }, *after ]
      end
    end
  end
end
