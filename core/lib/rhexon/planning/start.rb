module Rhexon
  module Planning
    # Where an accepted plan had a pass.
    Start = Struct.new(:minute, :person)
  end
end
