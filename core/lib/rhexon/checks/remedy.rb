module Rhexon
  module Checks
    # A change of the schedule that answers a finding.
    # @!attribute label     [String] what it does, in the imperative
    # @!attribute operation [Hash] for Schedule::Edit.apply
    Remedy = Struct.new(:label, :operation, keyword_init: true)
  end
end
