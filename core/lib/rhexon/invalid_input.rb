module Rhexon
  # Input that the core will not work with. Its message is one sentence a finisher can act on.
  #
  # @!attribute where    [String] where it stands, as a path ("steps/s4/wet_um") or a field name
  # @!attribute accepted [String, nil] what would be accepted instead
  class InvalidInput < Error
    attr_reader :where, :accepted

    def initialize(what, where: "", accepted: nil)
      @where = where
      @accepted = accepted
      super(accepted ? "#{what.delete_suffix(".")}. Accepted: #{accepted}." : what)
    end
  end
end
