module Rhexon
  module Planning
    # A pass on the clock, in whole minutes.
    # @!attribute hands [Array<Array(Integer, Integer)>] stretches of hands; more than one only where a pass pauses
    #   overnight
    # @!attribute person    [String, nil] whose hands; nil for a wait
    # @!attribute tool      [String, nil]
    # @!attribute first_end [Integer] end of laying piece 1
    # @!attribute earlier   [Integer] coats of the same stack in the 24 h before
    # @!attribute waits     [Array<MilestoneCalculator::Reached>] what it waited for
    # @!attribute window    [Window, nil]
    # @!attribute inside    [Boolean] work started while the window below was open (scuffed or not): the coats fuse
    # @!attribute because   [String] what fixed its start: milestone, hands, hours, room, rack, dust, pin, goal or log
    # @!attribute status    [String] done, running or planned
    Placement = Struct.new(:pass, :hands, :person, :tool, :hands_start, :work_start, :first_end, :work_end, :hands_end,
                           :earlier, :milestones, :waits, :window, :inside, :because, :status, :looks,
                           keyword_init: true) do
      # Reckoned when first asked for: a plan is made far more often than all its waits are read.
      def waits
        known = self[:waits]
        known.is_a?(Proc) ? self[:waits] = known.call : known
      end

      # Coats of its stack that were laid in the day before.
      # @param placed [Array<Placement>] by index
      def self.earlier(pass, work_start, placed)
        pass.mates.count { |index| placed[index] && work_start - placed[index].work_end < self::CROWDS_MIN }
      end
    end
    # Coats of one stack laid within so long of each other slow each other (drying.yml, coat_step).
    Placement::CROWDS_MIN = 1440
  end
end
