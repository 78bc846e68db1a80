module Rhexon
  module Planning
    # Where an accepted plan had a pass.
    Start = Struct.new(:minute, :person)
    # A start that moves by no more stays where it was, minutes.
    Start::NEAR_MIN = 15
  end
end
