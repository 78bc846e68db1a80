module Rhexon
  module Checks
    # A change of the schedule that answers a finding.
    # @!attribute label     [String] what it does, in the imperative
    # @!attribute operation [Hash, nil] for Schedule::Edit.apply
    # @!attribute why_not [String, nil] why what one would think of is not possible here, in place of both
    # @!attribute place [Hash, nil] where to go instead: {"name" => "product", "shelf", "shopping", "ways"...,
    #   "product" => id or nil}
    Remedy = Struct.new(:label, :operation, :place, :why_not, keyword_init: true)
  end
end
