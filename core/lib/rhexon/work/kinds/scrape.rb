module Rhexon
  module Work
    module Kinds
      # A scraper cuts: no dust, and a surface as of P120 to P150.
      class Scrape < AbrasiveWork
        def dust?(_step) = false
        def waits(_step, lower, coated_later) = abrasion_waits(lower, coated_later)
        def rubbing(_step) = [ Prep::Abrasive.near("P150") ]
      end
    end
  end
end
