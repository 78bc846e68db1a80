module Rhexon
  module Checks
    # What is done on one face, in the order of the document, with what the plan made of it.
    # @!attribute step       [Hash]
    # @!attribute product    [Materials::Product, nil]
    # @!attribute placements [Array<Planning::Placement>] less scuffs; empty when the step could not be placed
    Laid = Struct.new(:step, :product, :placements, keyword_init: true) do
      def first = placements.first
      def begun? = placements.any? { |placement| placement.status != "planned" }
      def stain? = step["kind"] == "stain"
      def coat? = Work::Steps.film?(step)
      def tinted? = product.colour == "tinted" || step.key?("tint")
      def lays? = Work::Steps.lays?(step)

      # What gives it its colour, inside a sentence: a stain by its name, a film by what it is for.
      def colour_name = { "tone" => "the toner", "glaze" => "the glaze" }.fetch(step["kind"], product&.name)

      # A film that shows what lies under it.
      def clear? = coat? && !tinted? && product.colour != "pigmented"

      # Changes the colour of what it lies on, and lets it be seen: a stain, a toner, a glaze. An opaque colour comes
      # from its can, a filler fills pores.
      def colours? = stain? || (coat? && tinted?)
    end
  end
end
