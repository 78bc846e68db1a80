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
      # @param years [Numeric] in the light
      # @param strengths [Hash{String=>Numeric}] product id => what its colour figures are multiplied by, from the
      #   shop's own boards
      def initialize(wood, steps, products, surface: Surface.usual, end_grain: false, years: 0, strengths: {})
        @wood = wood
        @steps = steps
        @products = products
        @surface = surface
        @end_grain = end_grain
        @years = years
        @strengths = strengths
      end

      # Share of its stock strength at which a stain is laid on: a part of the stock's colour is left when it is
      # thinned.
      # @param step [Hash] a stain step
      # @return [Float]
      def self.share(step)
        thinning = step["thinning"]
        left = if thinning.nil?
          1.0
        else
          thinning["of"] == "total" ? 1 - thinning["percent"] / 100.0 : 100.0 / (100 + thinning["percent"])
        end
        (step["strength_percent"] || 100) / 100.0 * left
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
        inside = stained_ground(shares)
        under_gu && @films.empty? ? @surface.coated(inside, gu: under_gu) : on_top(inside, @films, @gloss, wetness)
      end

      # @return [Stage] the look in the end
      def final = stages.last

      private

      def begin_bare
        @inside = @surface.into(@wood.reflectance)
        @absorbed = @inside.map { |ri| Layer.q(ri) }
        @scattered = Array.new(Spectrum::NM.size, 1.0)
        @films = []
        @texture_um = 0.0
        @open_stain = false
        @grain_um = Reference.colour.uptake.grain_um.to_f
        @gloss = nil
        @gaps, @notes = [], []
      end

      def walk(step)
        case step["kind"]
        when "stain" then [ stained(step) ]
        when "fill" then step["way"] == "slurry" ? [] : [ stained(step) ]
        when "coat", "oil" then (1..(step["coats"] || 1)).map { |coat| coated(step, coat) }
        else abraded(step)
        end
      end

      # What comes off a film takes its colour with it; bare wood is given another grain.
      def abraded(step)
        work = Work::Kind.find(step["kind"])
        return [] unless work.abrades?

        last = work.rubbing(step).last
        return levelled(step, work) if @films.any?

        @grain_um = last.mean_um.to_f if last
        []
      end

      def stained(step)
        product = @products.fetch(step["product"])
        optics = optics(product)
        @gaps |= [ product.name ] unless optics.known
        before = Spectrum.lab(seen, Light.find("D65"))[0]
        share = Looks.share(step)
        strength = strength(product) * share * uptake(optics)
        @absorbed = @absorbed.zip(optics.k).map { |q, k| q + strength * k }
        @scattered = @scattered.zip(optics.s).map { |s, more| s + strength * more }
        @open_stain = true
        stage(step, nil).tap do |result|
          limited(product, optics, before, result)
          beyond(product, optics, share * 100, result)
        end
      end

      # Past what the shop's boards showed, its own figures are only carried on.
      def beyond(product, optics, percent, result)
        return if optics.read.nil? || percent.between?(optics.read[0] - 0.5, optics.read[1] + 0.5)

        result.notes |= [ "#{product.name} at #{percent.round} % lies beyond what boards were read at " \
                          "(#{optics.read.map(&:round).join(" to ")} %)" ]
      end

      def uptake(optics)
        table = Reference.colour.uptake
        grain = (@grain_um / table.grain_um)**table[optics.kind == "pigment" ? "pigment" : "dye"]
        @wood.uptake * grain * (@end_grain ? table.end_grain : 1) * sealed(table)
      end

      # What is sealed takes less, and ever less with more on and in the face.
      def sealed(table)
        table.sealed + (1 - table.sealed) * Math.exp(-film_um / table.sealer_um)
      end

      def film_um = @films.sum { |film| film[:um] }

      def limited(product, optics, before, result)
        limit = Reference.colour.limited
        moved = before - Spectrum.lab(result.reflectance, Light.find("D65"))[0]
        if optics.known && optics.k.sum.positive? && moved < limit.least_change &&
            before < limit.below_l
          @notes |= result.notes |= [ "#{product.name} hardly moves it: the wood limits this" ]
        end
      end

      def coated(step, coat)
        product = @products.fetch(step["product"])
        optics = optics(product)
        @gaps |= [ product.name ] unless optics.known
        solids = Mixing::ProductMix.solids_percent(product, @products, step)
        @texture_um = Film::Abrasion.texture_um(step["method"]).to_f
        @films <<
          {
            um: Film::Coat.dry_um(wet_um(step, product), solids), k: optics.k.map { |k| k * strength(product) },
            s: optics.s.map { |s| s * strength(product) }
          }
        @open_stain = false
        @gloss = product.sheen_gu&.value || Reference.colour.gloss_gu
        stage(step, coat)
      end

      # An oil is rubbed in by what the hand leaves on.
      def wet_um(step, product) = step["wet_um"] || product.wet_um(step["method"])&.value || 0

      def levelled(step, work)
        taken_off = work.taken(step, @texture_um)
        off = work.bares?(step) ? Float::INFINITY : taken_off.um
        @texture_um = taken_off.texture_um
        while off.positive? && @films.any?
          taken = [ off, @films.last[:um] ].min
          @films.last[:um] -= taken
          off -= taken
          @films.pop if @films.last[:um] <= 0
        end
        @gloss = nil if @films.empty?
        [ stage(step, nil) ]
      end

      def optics(product) = Optics.for(product).aged(product.film? ? @years : 0)
      def strength(product) = @strengths[product.id] || 1.0

      def stage(step, coat)
        Stage.new(step: step, coat: coat, made: seen_later, film_um: @films.sum { |film| film[:um] }, gaps: @gaps.dup,
                  notes: [])
      end

      # The ground with more stain in it. A recipe asks thousands of times, so nothing is made anew but the answer.
      def stained_ground(shares)
        pulls = shares.map { |product, share| [ share, *pull(product) ] }
        Array.new(@absorbed.size) do |at|
          k, s = @absorbed[at], @scattered[at]
          pulls.each do |share, absorbed, scattered|
            k += share * absorbed[at]
            s += share * scattered[at]
          end
          Layer.ground(k / s)
        end
      end

      # What a stain at stock strength adds where the steps leave off.
      def pull(product)
        @pulls ||= {}.compare_by_identity
        @pulls[product] ||= Optics.for(product).then do |optics|
          (strength(product) * uptake(optics)).then do |by|
            [ optics.k, optics.s ].map { |values| values.map { |value| value * by } }
          end
        end
      end

      def seen = seen_later.call

      # What is there now, however it goes on.
      def seen_later
        absorbed, scattered, films, gloss, wet = @absorbed, @scattered, @films.map(&:dup), @gloss,
@open_stain ? wetness : 1.0
        -> { on_top(absorbed.zip(scattered).map { |k, s| Layer.ground(k / s) }, films, gloss, wet) }
      end

      # How far a stain that lies open on a film is seen wet: not at all on a washcoat, wholly on a built film.
      def wetness
        from, till = Reference.colour.uptake.washcoat_um, Reference.colour.uptake.wet_um
        ((film_um - from) / (till - from).to_f).clamp(0.0, 1.0)
      end

      # Films over a ground, and the surface at the very top.
      def on_top(ground, films, gloss, wet)
        return @surface.bare(ground, @wood.reflectance.min) if films.empty?

        through = films.reduce(ground) do |below, film|
          below.each_with_index.map do |ri, at|
            Layer.over(ri, k: film[:k][at], s: film[:s][at], thickness: film[:um])
          end
        end
        coated = @surface.coated(through, gu: gloss)
        if wet < 1
          @surface.bare(through, @wood.reflectance.min)
            .zip(coated)
            .map { |open, closed| open + wet * (closed - open) }
        else
          coated
        end
      end
    end
  end
end
