module Rhexon
  module Planning
    # A pass on the clock, in whole minutes.
    # @!attribute hands     [Array<Array(Integer, Integer)>] stretches of hands; more than one only where a pass pauses overnight
    # @!attribute first_end [Integer] end of laying piece 1
    # @!attribute waits     [Array<Drier::Reached>] what it waited for
    # @!attribute window    [Window, nil]
    # @!attribute inside    [Boolean] work started while the window below was open (scuffed or not): the coats fuse
    # @!attribute because   [String] what fixed its start: milestone, hands, hours, pin or log
    # @!attribute status    [String] done, running or planned
    Placement = Struct.new(:pass, :hands, :hands_start, :work_start, :first_end, :work_end, :hands_end, :milestones, :waits, :window, :inside, :because, :status, :looks,
                           :scuff_of, keyword_init: true)
  end
end
