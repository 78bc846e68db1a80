module Rhexon
  module Search
    # What every object around a build reads at each turn: the model by concern, and what this build has taken.
    class BuildPart
      # @param partial [PartialSchedule]
      def initialize(partial)
        @partial = partial
        @model = partial.model
        @relaxed = partial.relaxed?
        @now = partial.now
        @holds = partial.holds
        @reserved = partial.reserved
        @times = @model.times
        @places = @model.places
        @crews = @model.crews
        @drying = @model.drying
      end
    end
  end
end
