module Rhexon
  module Colour
    # The look after every step of a schedule on a wood: stain colours the wood itself, films lie over it, gloss comes
    # once, at the very top.
    class Looks
      # @!attribute step  [Hash] of the schedule document
      # @!attribute made  [Proc] what is seen, reckoned when it is asked for
      # @!attribute gaps  [Array<String>] products without colour figures up to here
      # @!attribute notes [Array<String>] "the wood limits this"
      Stage = Struct.new(:step, :coat, :made, :film_um, :gaps, :notes, keyword_init: true) do
        # @return [Array<Float>] as it is seen
        def reflectance = @reflectance ||= made.call

        # @return [Look]
        def look(light = Light.find("D65")) = (@looks ||= {})[light.id] ||= Look.new(reflectance, light)
      end

      # @param wood [Wood]
      # @param steps [Array<Hash>] of a schedule document
      # @param products [Hash{String=>Materials::Product}]
      # @param surface [Surface]
      # @param end_grain [Boolean]
      # @param found [Hash] what was there before, of a face
      # @param years [Numeric] in the light
      # @param strengths [Hash{String=>Numeric}] product id => what its colour figures are multiplied by, from the
      #   shop's own boards
      def initialize(wood, steps, products, surface: Surface.usual, end_grain: false, years: 0, strengths: {},
                     found: {})
        @wood = wood
        @steps = steps
        @products = products
        @surface = surface
        @end_grain = end_grain
        @years = years
        @strengths = strengths
        @found = FoundLook.new(found, products, wood: wood, surface: surface)
      end

      class << self
        # Share of its stock strength at which a stain is laid on: a part of the stock's colour is left when it is
        # thinned, or when other colourants take its place.
        # @param step [Hash] a stain step
        # @return [Float]
        def share(step)
          strength = step["strength_percent"] || 100 - (step["tint"] || []).sum { |part| part["percent"] }
          strength / 100.0 * left(step)
        end

        # @return [Hash{String=>Float}] product id => share of the mix by weight, of the colourants in it
        def tints(step)
          (step["tint"] || []).to_h { |part| [ part["product"], part["percent"] / 100.0 * left(step) ] }
        end

        private

        def left(step)
          thinning = step["thinning"] or return 1.0
          thinning["of"] == "total" ? 1 - thinning["percent"] / 100.0 : 100.0 / (100 + thinning["percent"])
        end
      end

      # @return [Array<Stage>] one for each coat of each step that can change the look, the bare wood first
      def stages
        @stages ||= begin
          begin_bare
          [ stage(nil, nil), *@steps.flat_map { |step| walk(step) } ]
        end
      end

      # The look with more stain on it, where the steps leave off.
      # @param shares [Hash{Materials::Product=>Float}] share of stock strength
      # @param under_gu [Float, nil] gloss of a clear film over it; nil: as it is
      # @return [Array<Float>] reflectance
      def with_stain(shares, under_gu: nil)
        stages
        inside = @stack.ground_with(shares.map { |product, share| [ share, *pull(product) ] })
        under_gu && @stack.films.empty? ? @surface.coated(inside, gu: under_gu) : @stack.on_top(inside, open: true)
      end

      # @return [Stage] the look in the end
      def final = stages.last

      private

      def begin_bare
        @stack = OpticalStack.new(@wood, @surface, @found)
        @texture_um = 0.0
        @grain_um = Reference.colour.uptake.grain_um.to_f
        @gaps, @notes = [], []
      end

      def walk(step)
        case step["kind"]
        when "stain" then [ stained(step) ]
        when "fill" then step["way"] == "slurry" ? [] : [ stained(step) ]
        when "coat", "oil", "glaze", "tone" then (1..(step["coats"] || 1)).map { |coat| coated(step, coat) }
        else abraded(step)
        end
      end

      # What comes off a film takes its colour with it; bare wood is given another grain.
      def abraded(step)
        work = Work::Kind.find(step["kind"])
        return [] unless work.abrades?

        last = work.rubbing(step).last
        return levelled(step, work) if @stack.films.any?

        @grain_um = last.mean_um.to_f if last
        []
      end

      def levelled(step, work)
        taken_off = work.taken(step, @texture_um)
        @texture_um = taken_off.texture_um
        @stack.take(taken(work.share_off(step)) || taken_off.um)
        [ stage(step, nil) ]
      end

      # @return [Numeric, nil] µm of a share of what there is
      def taken(share)
        share && (share == 1 ? Float::INFINITY : @stack.film_um * share)
      end

      def stained(step)
        product = @products.fetch(step["product"])
        before = Spectrum.lab(@stack.seen_later.call, Light.find("D65"))[0]
        share = Looks.share(step)
        { product => share, **tints(step) }.each { |colourant, part| soak(colourant, part) }
        stage(step, nil).tap do |result|
          limited(product, before, result)
          beyond(product, share * 100, result)
        end
      end

      def soak(product, share)
        optics = known(product)
        @stack.soak(optics.k, optics.s, strength(product) * share * uptake(optics))
      end

      # Past what the shop's boards showed, its own figures are only carried on.
      def beyond(product, percent, result)
        read = optics(product).read
        return if read.nil? || percent.between?(read[0] - 0.5, read[1] + 0.5)

        result.notes |= [ "#{product.name} at #{percent.round} % lies beyond what boards were read at " \
                          "(#{read.map(&:round).join(" to ")} %)" ]
      end

      def uptake(optics)
        table = Reference.colour.uptake
        grain = (@grain_um / table.grain_um)**table[optics.kind == "pigment" ? "pigment" : "dye"]
        @wood.uptake * grain * (@end_grain ? table.end_grain : 1) * sealed(table)
      end

      # What is sealed takes less, and ever less with more on and in the face.
      def sealed(table)
        table.sealed + (1 - table.sealed) * Math.exp(-@stack.film_um / table.sealer_um)
      end

      def limited(product, before, result)
        limit = Reference.colour.limited
        optics = optics(product)
        moved = before - Spectrum.lab(result.reflectance, Light.find("D65"))[0]
        return unless optics.known && optics.k.sum.positive? && moved < limit.least_change && before < limit.below_l

        @notes |= result.notes |= [ "#{product.name} hardly moves it: the wood limits this" ]
      end

      def coated(step, coat)
        product = @products.fetch(step["product"])
        optics = known(product)
        solids = Mixing::ProductMix.solids_percent(product, @products, step)
        @texture_um = Film::Abrasion.texture_um(step["method"]).to_f
        film = { um: Film::Coat.dry_um(wet_um(step, product), solids), k: optics.k.map { |k| k * strength(product) },
                 s: optics.s.map { |s| s * strength(product) } }
        tinted = tints(step).reduce(film) { |made, (colourant, share)| tint(made, colourant, share, solids) }
        @stack.lay(tinted, product.sheen_gu&.value || Reference.colour.gloss_gu)
        stage(step, coat)
      end

      # A wet µm holds a share of what the colourant does in wood, and dries to the solids of the mix.
      def tint(film, colourant, share, solids)
        optics = known(colourant)
        by = strength(colourant) * share * Reference.colour.tint.share_per_wet_um * 100 / solids
        film.merge(k: film[:k].zip(optics.k).map { |k, more| k + by * more },
                   s: film[:s].zip(optics.s).map { |s, more| s + by * more })
      end

      # An oil is rubbed in by what the hand leaves on.
      def wet_um(step, product) = step["wet_um"] || product.wet_um(step["method"])&.value || 0

      def tints(step) = Looks.tints(step).transform_keys { |id| @products.fetch(id) }
      def optics(product) = Optics.for(product).aged(product.film? ? @years : 0)
      def known(product) = optics(product).tap { |optics| @gaps |= [ product.name ] unless optics.known }
      def strength(product) = @strengths[product.id] || 1.0

      def stage(step, coat)
        Stage.new(step: step, coat: coat, made: @stack.seen_later, film_um: @stack.film_um, gaps: @gaps.dup, notes: [])
      end

      # What a stain at stock strength adds where the steps leave off.
      def pull(product)
        @pulls ||= {}.compare_by_identity
        @pulls[product] ||= Optics.for(product).then do |optics|
          by = strength(product) * uptake(optics)
          [ optics.k, optics.s ].map { |values| values.map { |value| value * by } }
        end
      end
    end
  end
end
