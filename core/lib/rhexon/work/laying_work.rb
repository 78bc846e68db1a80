module Rhexon
  module Work
    # What lays a product on: by the method's rate, when the one below may be recoated.
    class LayingWork < Kind
      def lays? = true
      def minutes(step, extent) = Hours.laying(step, extent)
      def waits(_step, _lower, _coated_later) = [ "recoat_opens" ]
    end
  end
end
