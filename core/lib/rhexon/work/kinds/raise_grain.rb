module Rhexon
  module Work
    module Kinds
      # Water on bare wood: what stands up is sanded off before a coat of water can raise it.
      class RaiseGrain < AbrasiveWork
        def abrades? = false
        def dust?(_step) = false
        def room(_step) = nil
        def setup_min(_step) = 0
        def waits(_step, lower, coated_later) = abrasion_waits(lower, coated_later)
        def wet(_step) = Wet.new(hands.raise_grain_dry_min, "water")
        def effect(surface, _placement) = surface.bare? ? same(surface.with(grain: "standing")) : same(surface)
        def name = "Raise the grain"
      end
    end
  end
end
