module Rhexon
  module Prep
    # Sheen at 60° after each abrasive, GU (estimates on a hard film; core/data/abrasives.yml). Rubbing lowers any film
    # and cannot raise a flatted one far above the sheen it was made with.
    module Sheen
      # @!attribute gu    [Float] sheen it comes to
      # @!attribute hazy  [Boolean] near the cap of a flatted film
      # @!attribute capped [Boolean] the film holds it back
      Reached = Struct.new(:gu, :hazy, :capped, keyword_init: true)

      module_function

      # @param abrasive [Abrasive]
      # @param before_gu [Numeric, nil] sheen that is there
      # @param film_gu [Numeric, nil] sheen the film was made with; nil: not known, taken as gloss
      # @return [Reached]
      def after(abrasive, before_gu:, film_gu:)
        wanted = if abrasive.adds_gu.positive? then before_gu.to_f + abrasive.adds_gu
        else
          abrasive.own_sheen_gu || by_grain(abrasive.mean_um)
        end
        cap = cap_gu(film_gu)
        gu = [ wanted, cap ].min.to_f
        Reached.new(gu: gu, capped: wanted > cap, hazy: !gloss?(film_gu) && gu > film_gu + table.hazy_from_gu).freeze
      end

      # Sheen that a film comes to as it grows: GU_sheet (1 - e^(-t/s)) + GU_wood e^(-t/s).
      # @param sheet_gu [Numeric] of the product, on a built film
      # @param um [Numeric] dry film on the face
      # @param wood [String] absorption class of the face
      # @param wiped [Boolean] wiped, flooded or padded: a cloth leaves the wood's own texture
      # @param scratch_um [Numeric, nil] mean grain of the scratch in the wood
      # @return [Float] GU
      def of_film(sheet_gu, um:, wood:, wiped:, scratch_um: nil)
        grows = Reference.film.sheen_grows
        fine = scratch_um && scratch_um <= grows.fine_from_um
        bare = Math.exp(-um / (wiped ? grows.wiped_um.fetch(wood) : grows.built_um).to_f)
        sheet_gu * (1 - bare) + (fine ? grows.fine_gu : grows.wood_gu) * bare
      end

      # The highest sheen that rubbing brings out of a film.
      # @return [Numeric] GU
      def cap_gu(film_gu) = gloss?(film_gu) ? table.gloss_cap_gu : film_gu + table.above_gu

      # Between the papers of the table by the logarithm of the grain; coarser than all of them in proportion.
      # @return [Float] GU
      def by_grain(mean_um)
        points = Reference.abrasives.sheen_by_grain
        return points.first[1] * points.first[0] / mean_um.to_f if mean_um >= points.first[0]
        return points.last[1].to_f if mean_um <= points.last[0]

        (coarse, low), (fine, high) = points.each_cons(2).find { |_, finer| mean_um >= finer[0] }
        low + (high - low) * Math.log(coarse / mean_um.to_f) / Math.log(coarse / fine.to_f)
      end

      # @return [String] "satin"
      def name(gu) = Reference.abrasives.sheens.find { |_, below| gu < below }.first

      def gloss?(film_gu) = film_gu.nil? || film_gu >= table.gloss_from_gu

      def table = Reference.abrasives.sheen_cap
      private_class_method :table, :gloss?
    end
  end
end
