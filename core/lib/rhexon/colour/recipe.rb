module Rhexon
  module Colour
    # Which colourants, and how much of each, bring a surface nearest to a target. Deterministic: the same question
    # has the same answer.
    class Recipe
      # @!attribute shares   [Hash{String=>Float}] product id => share of the mix by weight
      # @!attribute grams    [Hash{String=>Float}] what is weighed for the batch; the rest is carrier
      # @!attribute lab      [Array<Float>] the look, D65
      # @!attribute hex      [String]
      # @!attribute delta_e  [Float] to the target
      # @!attribute ten_more [Hash{String=>Array<Float>}] what a tenth more of each does: change of L*, a*, b*
      Answer = Struct.new(:shares, :grams, :lab, :hex, :delta_e, :ten_more, keyword_init: true)
      # @!attribute answers [Array<Answer>] the best of one, of two and of three colourants, as far as each is better
      #   than the one before
      # @!attribute cast    [Cast] of the best
      # @!attribute spread [Float, nil] difference of a pale and a dark board of the wood: nearer than that is within
      #   the wood itself
      # @!attribute beyond  [Array<String>] what cannot be reached by adding, and what could be done
      Result = Struct.new(:start, :answers, :cast, :spread, :beyond, keyword_init: true)
      STEPS = [ 0.2, 0.1, 0.05, 0.02, 0.01, 0.005, 0.002 ].freeze
      WORTH = 0.1
      # Looks reckoned in all: about a second and a half; counted, not timed, so that the same question has the same
      # answer.
      MOST_LOOKS = 30_000

      # @param target [Array<Numeric>] L*a*b*, D65
      # @param colourants [Array<Materials::Product>] with colour figures
      # @param batch_g [Numeric]
      # @param scale_g [Numeric] least step of the scale
      # @param most [Float] largest share of colourants in the mix
      # @yieldparam shares [Hash{Materials::Product=>Float}]
      # @yieldreturn [Array<Float>] the reflectance they make
      # @raise [InvalidInput] when no colourant has colour figures
      def initialize(target, colourants, batch_g: 100, scale_g: 0.1, most: 1.0, spread: nil, &made)
        @target = target
        @colourants = colourants.select { |product| Optics.for(product).known && Optics.for(product).k.sum.positive? }
        Rhexon.refuse_unless(
          @colourants.any?, "None of the colourants has colour figures", where: "colourants",
          accepted: "products with optics, or ones that were read on boards"
        )
        @batch_g = batch_g
        @scale_g = scale_g
        @most = most
        @spread = spread
        @made = made
        @looks = 0
        @light = Light.find("D65")
      end

      # Stain on bare wood, or on what is stained already.
      # @param looks [Looks] up to where it would go on
      # @param under_gu [Float, nil] gloss of the clear film it will be seen under; nil: dry and bare
      # @return [Recipe]
      def self.stain(looks, target, colourants, under_gu: nil, **options)
        new(target, colourants, **options) { |shares| looks.with_stain(shares, under_gu: under_gu) }
      end

      # A toner or a glaze over what is there, its carrier taken as clear.
      # @param reflectance [Array<Float>] as it is seen, coated
      # @param wet_um [Numeric] left on, µm
      def self.toner(reflectance, target, colourants, surface: Surface.usual, gu: 90.0,
                     wet_um: Reference.colour.tint.wet_um.tone, **options)
        per_um = Reference.colour.tint.share_per_wet_um
        inside = surface.under_film(reflectance, gu: gu)
        new(target, colourants, **options) do |shares|
          optics = shares.map { |product, share| [ Optics.for(product), share * per_um ] }
          toned = inside.each_with_index.map do |ri, at|
            Layer.over(ri, k: optics.sum { |optic, share| optic.k[at] * share },
                           s: optics.sum { |optic, share| optic.s[at] * share }, thickness: wet_um.to_f)
          end
          surface.coated(toned, gu: gu)
        end
      end

      # @param shares [Hash{Materials::Product=>Float}]
      # @return [Array<Float>] reflectance
      def made(shares) = @made.call(shares)

      # @return [Result]
      def result
        start = lab({})
        best = sizes.map { |shares| answer(shares) }
        kept = best.each_with_object([]) do |candidate, list|
          if list.empty? ? candidate.delta_e <
              DeltaE.ciede2000(@target, start) - WORTH : candidate.delta_e < list.last.delta_e - WORTH
            list << candidate
          end
        end
        nearest = kept.last&.lab || start
        Result.new(start: start, answers: kept, cast: Cast.for(nearest, @target), spread: @spread,
                   beyond: beyond(nearest, kept.last)).freeze
      end

      private

      # The best shares of one, two and three colourants.
      def sizes
        table = Reference.colour.recipe
        carried = [ {} ]
        grid = []
        (1..[ table.most, @colourants.size ].min).each do
          begun = carried.flat_map { |shares|
            (@colourants - shares.keys)
            .select { |more| mixes?([ *shares.keys, more ]) }
            .map { |more| shares.merge(more => 0.0).sort_by { |product, _| product.id }.to_h }
          }.uniq(&:keys)
          break if begun.empty?

          ranked = begun.map { |shares| searched(shares) }.sort_by do |difference, shares|
            [ difference, shares.keys.map(&:id) ]
          end
          carried = ranked.map(&:last).uniq(&:keys).first(table.carried)
          grid << ranked.first.last
        end
        grid
      end

      # Oil does not go into water: colourants of one mix share a carrier, but for concentrates that go into any.
      def mixes?(products) = products.map(&:carrier).reject { |carrier| carrier == "none" }.uniq.size <= 1

      # Steps along each axis and from one to another, finer when none helps.
      # @param shares [Hash{Materials::Product=>Float}] to begin from
      def searched(shares)
        set = shares.keys
        least = difference(shares)
        STEPS.each do |step|
          moved = true
          while moved && @looks < MOST_LOOKS
            moved = false
            moves(set, step).each do |by|
              trial = shares.merge(by) { |_, share, more| (share + more).clamp(0.0, @most) }
              if trial.values.sum > @most + 1e-9 || trial == shares || (delta = difference(trial)) >= least - 1e-6
                next
              end

              shares, least, moved = trial, delta, true
            end
          end
        end
        [ least, shares ]
      end

      def moves(set, step)
        single = set.flat_map { |product| [ { product => step }, { product => -step } ] }
        single + set.permutation(2).map { |more, less| { more => step, less => -step } }
      end

      def difference(shares)
        @looks += 1
        DeltaE.ciede2000(@target, lab(shares))
      end

      def lab(shares) = Spectrum.lab(@made.call(shares.reject { |_, share| share.zero? }), @light)

      # As it can be weighed.
      def answer(shares)
        weighed = shares.transform_values { |share| (share * @batch_g / @scale_g).round * @scale_g }
          .reject { |_, grams| grams.zero? }
        real = weighed.transform_values { |grams| grams / @batch_g.to_f }
        look = Look.new(@made.call(real), @light)
        Answer
          .new(
            shares: real.transform_keys(&:id),
            grams: weighed.to_h { |product, grams| [ product.id, grams.round(4) ] }, lab: look.lab, hex: look.hex,
            delta_e: look.delta_e(@target),
            ten_more: real.to_h { |product, share|
              [ product.id, lab(real.merge(product => share * 1.1)).zip(look.lab).map { |now, was| now - was } ]
            }
          ).freeze
      end

      # What is left cannot be brought by adding.
      def beyond(nearest, answer)
        return [] if DeltaE.ciede2000(@target, nearest) <= Reference.colour.recipe.reached

        cast = Cast.for(nearest, @target)
        dark = if cast.lightness < -1
          [ "Dyes only darken: a paler base, bleach, less of the stain that is there, or a pale glaze that veils " \
            "the " \
            "grain" ]
        else
          []
        end
        dull = cast.chroma < -1 ? [ "None of these colourants is so strong in colour: another colourant" ] : []
        strong = if cast.chroma > 1 && cast.lightness >= -1
          [ "What is there is too strong in colour: its opposite would darken it, so begin from less" ]
        else
          []
        end
        full = if answer && answer.shares.values.sum > @most - 0.02
          [ "The mix is all colourant already: a stronger stock, or a second time" ]
        else
          []
        end
        [ "#{cast.label.sub(/^./, &:upcase)} is left", *full, *dark, *(dull if full.empty?), *strong ]
      end
    end
  end
end
