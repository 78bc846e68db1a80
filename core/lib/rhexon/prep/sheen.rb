module Rhexon
  module Prep
    # Sheen at 60° after each abrasive, GU (estimates on a hard film; core/data/abrasives.yml). Rubbing lowers any film
    # and cannot raise a flatted one far above the sheen it was made with.
    module Sheen
      # @!attribute gu    [Float] sheen it comes to
      # @!attribute hazy  [Boolean] near the cap of a flatted film
      # @!attribute capped [Boolean] the film, or the scratch under a compound, holds it back
      # @!attribute rubbed_um [Numeric] coarsest scratch in the film after it
      Reached = Struct.new(:gu, :hazy, :capped, :rubbed_um, keyword_init: true)

      module_function

      # @param abrasive [Abrasive]
      # @param before_gu [Numeric, nil] sheen that is there
      # @param film_gu [Numeric, nil] sheen the film was made with; nil: not known, taken as gloss
      # @param rubbed_um [Numeric, nil] coarsest scratch in the film; nil: as laid
      # @return [Reached]
      def after(abrasive, before_gu:, film_gu:, rubbed_um: nil)
        polishes = abrasive.is == "compound" && abrasive.adds_gu.zero?
        cap = [ cap_gu(film_gu), *(compound_cap(rubbed_um) if polishes && rubbed_um) ].min
        wanted = own_gu(abrasive, before_gu)
        gu = [ wanted, cap ].min.to_f
        Reached.new(gu: gu, capped: wanted > cap, rubbed_um: left_um(abrasive, rubbed_um),
                    hazy: !gloss?(film_gu) && gu > film_gu + table.hazy_from_gu).freeze
      end

      # One abrasive after the other.
      # @param rungs [Array<Abrasive>]
      # @return [Array<Reached>] after each
      def rubbed(rungs, before_gu:, film_gu:, rubbed_um: nil)
        rungs.map do |abrasive|
          reached = after(abrasive, before_gu: before_gu, film_gu: film_gu, rubbed_um: rubbed_um)
          before_gu, rubbed_um = reached.gu, reached.rubbed_um
          reached
        end
      end

      # @return [Float] GU that the abrasive itself leaves
      def own_gu(abrasive, before_gu)
        return before_gu.to_f + abrasive.adds_gu if abrasive.adds_gu.positive?

        (abrasive.own_sheen_gu || by_grain(abrasive.mean_um)).to_f
      end

      # A compound does not take out what the paper before it left.
      def left_um(abrasive, rubbed_um)
        abrasive.is == "compound" ? [ abrasive.mean_um, *rubbed_um ].max : abrasive.mean_um
      end

      # @param um [Numeric] scratch under the compound
      # @return [Float] the highest sheen that it lets through
      def compound_cap(um)
        points = Reference.abrasives.compound_cap
        um < points.last[0] ? table.gloss_cap_gu : [ between(points, um), by_grain(um) ].max
      end

      # Sheen that a film comes to as it grows: GU_sheet (1 - e^(-t/s)) + GU_wood e^(-t/s).
      # @param sheet_gu [Numeric] of the product, on a built film
      # @param um [Numeric] dry film on the face
      # @param wood [String] absorption class of the face
      # @param wiped [Boolean] wiped, flooded or padded: a cloth leaves the wood's own texture
      # @param oil [Boolean] it lies in the wood: its sheet gives the sheen of the usual coats on wood
      # @param scratch_um [Numeric, nil] mean grain of the scratch in the wood
      # @return [Float] GU
      def of_film(sheet_gu, um:, wood:, wiped:, oil: false, scratch_um: nil)
        grows = Reference.film.sheen_grows
        fine = scratch_um && scratch_um <= grows.fine_from_um
        over = wiped ? grows.wiped_um.fetch(wood) : grows.built_um
        bare = Math.exp(-um / (oil ? grows.in_wood_um : over).to_f)
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

        between(points, mean_um)
      end

      # @return [String] "satin"
      def name(gu) = Reference.abrasives.sheens.find { |_, below| gu < below }.first

      def gloss?(film_gu) = film_gu.nil? || film_gu >= table.gloss_from_gu

      # By the logarithm of the grain, on the first line beyond the coarsest.
      def between(points, um)
        (coarse, low), (fine, high) = points.each_cons(2).find { |_, finer| um >= finer[0] }
        low + (high - low) * Math.log(coarse / um.to_f) / Math.log(coarse / fine.to_f)
      end

      def table = Reference.abrasives.sheen_cap
      private_class_method :table, :gloss?, :between, :own_gu, :left_um
    end
  end
end
