module Rhexon
  module Drying
    # One milestone of one coat: the sheet's time and what each cause makes of it.
    #
    # @!attribute sheet_min [Float] minutes on the sheet, at the sheet's climate and film
    # @!attribute own       [Hash{Symbol=>Float}] film, coat, shop: factors that do not depend on the air
    # @!attribute needed    [Float] sheet_min times them: reference minutes to pass
    # @!attribute minutes   [Float] time in this shop from the end of laying; infinite when the film waits for ever
    # @!attribute source    [Materials::Figure] where the sheet time comes from
    # @!attribute bound_by  [String, nil] the earlier milestone that this one may not precede
    # @!attribute phase     [String] early or hard
    # @!attribute causes    [Proc] () -> Hash{Symbol=>Float}
    Milestone = Struct.new(:name, :sheet_min, :own, :needed, :minutes, :source, :bound_by, :phase, :causes,
                           keyword_init: true) do
      # Temperature, humidity, air, film, coat, shop; their product times sheet_min is +minutes+.
      # @return [Hash{Symbol=>Float}]
      def factors = causes.call

      # Rows for the drying ledger: [cause, minutes it adds], in the order sheet, temperature, humidity, air, film,
      # coat, shop; they sum exactly to +minutes+.
      def ledger
        running = sheet_min
        [ [ :sheet, sheet_min ] ] + factors.map do |cause, factor|
          before, running = running, running * factor
          [ cause, running - before ]
        end
      end
    end
  end
end
