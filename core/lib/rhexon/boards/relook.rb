module Rhexon
  module Boards
    # Looking at a board again after it has settled: films amber, dyes fade, gloss sinks.
    module Relook
      # @!attribute days  [Integer] after it was made
      # @!attribute on    [Date]
      # @!attribute state [String] done (something was read from that day on), due or coming
      Look = Struct.new(:days, :on, :state, keyword_init: true)

      module_function

      # @param made_on [Date]
      # @param read_on [Array<Date>] days something was read on it
      # @param today [Date]
      # @return [Array<Look>]
      def for(made_on, read_on, today)
        Reference.judging.look_again_days.map do |days|
          on = made_on + days
          state = if read_on.any? { |date| date >= on }
            "done"
          else
            on <= today ? "due" : "coming"
          end
          Look.new(days: days, on: on, state: state)
        end
      end
    end
  end
end
