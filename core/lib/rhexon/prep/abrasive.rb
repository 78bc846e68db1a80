module Rhexon
  module Prep
    # A coated abrasive on one of the two scales, by its mean grain.
    # @!attribute scale  [String] "P" or "unprefixed"
    # @!attribute grit   [Integer]
    # @!attribute mean_um [Numeric]
    Abrasive = Struct.new(:scale, :grit, :mean_um, keyword_init: true) do
      # @param text [String] "P320" or "320"
      # @raise [Refusal]
      def self.read(text)
        found = /\A\s*(p)?\s*(\d{2,4})\s*\z/i.match(text.to_s) or raise Refusal.new("#{text.inspect} is no grit", where: "grit", accepted: "P320, or 320 without a prefix")
        scale = found[1] ? "P" : "unprefixed"
        mean = table.fetch(scale)[found[2].to_i] or raise Refusal.new("There is no #{found[1] ? "P" : "unprefixed "}#{found[2]}", where: "grit", accepted: all(scale).map(&:to_s).join(", "))
        new(scale: scale, grit: found[2].to_i, mean_um: mean).freeze
      end

      # @return [Array<Abrasive>] of a scale, coarsest first
      def self.all(scale) = table.fetch(scale).map { |grit, mean| new(scale: scale, grit: grit, mean_um: mean).freeze }

      # The grit of the other scale whose grain is nearest, by ratio.
      # @return [Abrasive]
      def counterpart = self.class.all(scale == "P" ? "unprefixed" : "P").min_by { |other| (Math.log(other.mean_um) - Math.log(mean_um)).abs }

      def self.table = Reference.table("abrasives").fetch("scales")
      private_class_method :table

      def to_s = scale == "P" ? "P#{grit}" : grit.to_s
    end
  end
end
