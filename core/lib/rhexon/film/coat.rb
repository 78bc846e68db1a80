module Rhexon
  module Film
    # From wet to dry film.
    module Coat
      module_function

      # dry µm = wet µm · VS
      def dry_um(wet_um, solids_percent) = wet_um * solids_percent / 100.0

      # wet µm for a wanted dry film
      # @raise [InvalidInput] when the mix has no solids
      def wet_um(dry_um, solids_percent)
        unless solids_percent.positive?
          raise InvalidInput.new(
            "A material without solids leaves no film", where: "solids_volume_percent", accepted: "more than 0 %"
          )
        end

        dry_um * 100.0 / solids_percent
      end

      # Share of a coat that stays on the surface.
      # @param wood [String] closed, semi_open, open, mdf_face, mdf_edge or end_grain
      # @param nth [Integer] 1 for the first film coat ever laid on the face
      # @param sealed_and_sanded [Boolean] a sealer is on and was sanded: counts as a later coat
      def surface_share(wood, nth, sealed_and_sanded: false)
        shares = Reference.film.absorption.fetch(wood)
        sealed_and_sanded ? shares.last : shares[[ nth, shares.size ].min - 1]
      end
    end
  end
end
