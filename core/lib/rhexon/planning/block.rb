module Rhexon
  module Planning
    # What stops a piece: milestone, hours, rack, hard_window or search, and the key of the pass that cannot be placed.
    Block = Struct.new(:constraint, :pass) do
      # @return [String] why, as part of a sentence
      def why = Block::WHY.fetch(constraint)
    end

    Block::WHY = {
      "milestone" => "what it waits for is not reached within 400 days in this air",
      "hours" => "nobody who may do it is there long enough at a time",
      "rack" => "the rack of the room it is to dry in has no places",
      "hard_window" => "its window is shorter than what has to happen in it",
      "search" => "each time someone was free, a room, a gun, the rack or a wet film was in the way"
    }.freeze
  end
end
