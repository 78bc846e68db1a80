module Rhexon
  module Colour
    # What light meets on a face: the ground, absorbing and scattering as it is coloured, films over it, the lowest
    # first, and the gloss at the very top. It changes with the work; what is seen at a moment can be asked for later.
    class OpticalStack
      # @!attribute gloss [Numeric, nil] GU of the topmost film; nil: none
      # @!attribute open_stain [Boolean] colour lies open, and dries matt on a thin film
      attr_accessor :gloss, :open_stain
      attr_reader :films

      # @param wood [Wood]
      # @param surface [Surface]
      # @param found [FoundLook]
      def initialize(wood, surface, found)
        @wood = wood
        @surface = surface
        @found = found
        bare
        @absorbed = found.cover.map { |ri| Layer.q(ri) } if found.cover
        @films = found.films.map(&:dup)
        @gloss = found.gloss
        @open_stain = false
      end

      def film_um = @films.sum { |film| film[:um] }

      # Colour goes into the ground.
      # @param k, s [Array<Float>] at stock strength
      # @param by [Numeric] share of it
      def soak(k, s, by)
        @absorbed = @absorbed.zip(k).map { |q, more| q + by * more }
        @scattered = @scattered.zip(s).map { |was, more| was + by * more }
        @open_stain = true
      end

      # @param film [Hash] :um dry, and :k and :s a µm
      def lay(film, gloss)
        @films << film
        @gloss = gloss
        @open_stain = false
      end

      # From the top down; what comes off a film takes its colour with it.
      # @param um [Numeric] Float::INFINITY: down to the wood
      def take(um)
        while um.positive? && @films.any?
          taken = [ um, @films.last[:um] ].min
          @films.last[:um] -= taken
          um -= taken
          @films.pop if @films.last[:um] <= 0
        end
        return if @films.any?

        @gloss = nil
        bare if @found.cover
      end

      # The ground with more in it: a recipe asks thousands of times, so nothing is made anew but the answer.
      # @param pulls [Array<Array(Numeric, Array<Float>, Array<Float>)>] share, K and S at a share of 1
      # @return [Array<Float>] Ri
      def ground_with(pulls)
        Array.new(@absorbed.size) do |at|
          k, s = @absorbed[at], @scattered[at]
          pulls.each do |share, absorbed, scattered|
            k += share * absorbed[at]
            s += share * scattered[at]
          end
          Layer.ground(k / s)
        end
      end

      # A ground as it would be seen under what lies on it now.
      # @param open [Boolean] where colour lies open
      # @return [Array<Float>] reflectance
      def on_top(ground, open: false) = topped(ground, @films, @gloss, open ? wetness : 1.0)

      # @return [Proc] what is seen now, however it goes on
      def seen_later
        absorbed, scattered, films, gloss = @absorbed, @scattered, @films.map(&:dup), @gloss
        wet = @open_stain ? wetness : 1.0
        -> { topped(absorbed.zip(scattered).map { |k, s| Layer.ground(k / s) }, films, gloss, wet) }
      end

      private

      # Down to the wood, with what is left in it of old colour.
      def bare
        @absorbed = @surface.into(@wood.reflectance).map { |ri| Layer.q(ri) }
        @absorbed = @absorbed.zip(@found.left).map(&:sum) if @found.left
        @scattered = Array.new(Spectrum::NM.size, 1.0)
      end

      # How far colour that lies open on a film is seen wet: not at all on a washcoat, wholly on a built film.
      def wetness
        from, till = Reference.colour.uptake.washcoat_um, Reference.colour.uptake.wet_um
        ((film_um - from) / (till - from).to_f).clamp(0.0, 1.0)
      end

      # Films over a ground, and the surface at the very top.
      def topped(ground, films, gloss, wet)
        return @surface.bare(ground, @wood.reflectance.min) if films.empty?

        through = films.reduce(ground) do |below, film|
          below.each_with_index.map do |ri, at|
            Layer.over(ri, k: film[:k][at], s: film[:s][at], thickness: film[:um])
          end
        end
        coated = @surface.coated(through, gu: gloss)
        return coated unless wet < 1

        @surface.bare(through, @wood.reflectance.min).zip(coated).map { |open, closed| open + wet * (closed - open) }
      end
    end
  end
end
