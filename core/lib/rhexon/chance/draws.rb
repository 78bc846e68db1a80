require "zlib"

module Rhexon
  module Chance
    # Seeded normal draws keyed by name and run: the same name gives the same draw in every plan, so that what-ifs
    # share them.
    class Draws
      # The middle of each of so many equal shares of the normal distribution.
      STEPS = 4096
      TABLE = Array.new(STEPS) { |index| Statistics::Normal.quantile((index + 0.5) / STEPS) }.freeze
      MASK = 0xFFFFFFFF

      # @param seed [Integer]
      def initialize(seed)
        @seed = Zlib.crc32(seed.to_s)
      end

      # @return [Integer] what a name stands for in {#normal}
      def key(name) = Zlib.crc32(name) ^ @seed

      # Integer hash with good avalanche (Mulvey 2016, "lowbias32" family of multiply and xor-shift).
      # @param key [Integer]
      # @param run [Integer]
      # @return [Float] of mean 0 and standard deviation 1
      def normal(key, run)
        mixed = (key + run * 0x9E3779B1) & MASK
        mixed = ((mixed ^ (mixed >> 16)) * 0x21F0AAAD) & MASK
        mixed = ((mixed ^ (mixed >> 15)) * 0x735A2D97) & MASK
        TABLE[(mixed ^ (mixed >> 15)) >> 20]
      end
    end
  end
end
