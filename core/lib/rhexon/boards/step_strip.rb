module Rhexon
  module Boards
    # A strip of a board that shows the base after each stage, the bare wood first.
    module StepStrip
      BARE = %w[sand raise_grain].freeze

      module_function

      # @param base [Array<Hash>] steps of a schedule document
      # @return [Array<Array<Hash>>] layers of each stage: one for each coat of each step that can change the look, as
      #   in Colour::Looks
      def stages(base)
        after = base.each_with_index.flat_map do |step, index|
          case step["kind"]
          when "stain", "level" then [ base.first(index) + [ step ] ]
          when "coat"
            (1..(step["coats"] || 1)).map { |coats| base.first(index) + [ step.merge("coats" => coats) ] }
          else []
          end
        end
        [ base.take_while { |step| BARE.include?(step["kind"]) }, *after ]
      end
    end
  end
end
