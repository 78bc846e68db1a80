module Rhexon
  module Areas
    # What is sized up by its shape rather than face by face: lengths in, m² out.
    module Shapes
      # Profiled work has more surface than its outline: 1.15 to 1.4 by how deep it is cut (an estimate).
      PROFILED = 1.25

      # A name as it is written before its lengths, how many lengths it has, and its area.
      # @!attribute area [Proc] lengths in m to m²
      # @!attribute form [String, nil] of Work::Extent::SHAPES, where work on it takes longer than on a flat
      Shape = Struct.new(:pattern, :lengths, :area, :form, keyword_init: true)
      ALL = {
        "round" => Shape.new(pattern: /(?:rounds?|ø|dia\.?)/, lengths: 1, area: ->(across) {
          Math::PI * across**2 / 4
        }),
        # The turned side, ends left out: legs, spindles, rods.
        "rod" => Shape.new(form: "turned", pattern: /(?:rods?|spindles?|legs?|cylinders?)/, lengths: 2,
                           area: ->(across, long) { Math::PI * across * long }),
        # From one thickness to another: the side of a cone that is cut off.
        "taper" => Shape.new(form: "turned", pattern: /tapers?/, lengths: 3, area: ->(one, other, long) {
          Math::PI * (one + other) / 2 * Math.hypot(long, (one - other) / 2)
        }),
        # All six sides from outside.
        "box" => Shape.new(form: "frame", pattern: /box(?:es)?/, lengths: 3, area: ->(a, b, c) {
          2 * (a * b + b * c + a * c)
        }),
        # Without its lid: the first two lengths are its bottom.
        "open box" => Shape.new(form: "frame", pattern: /open box(?:es)?/, lengths: 3,
                                area: ->(a, b, c) { a * b + 2 * (a + b) * c }),
        # Of a board: length, width, thickness.
        "edges" => Shape.new(pattern: /edges(?: of)?/, lengths: 3, area: ->(a, b, thick) { 2 * (a + b) * thick }),
        # Length, width, and how wide its members are: the opening is left out.
        "frame" => Shape.new(form: "frame", pattern: /frames?/, lengths: 3,
                             area: ->(a, b, wide) { a * b - [ a - 2 * wide, 0 ].max * [ b - 2 * wide, 0 ].max }),
        "profiled" => Shape.new(form: "profiled", pattern: /profiled/, lengths: 2, area: ->(a, b) { a * b * PROFILED })
      }.freeze

      module_function

      # @param text [String] lower case
      # @return [Array(Shape, String), nil] the shape whose name it begins with, and what follows
      def named(text)
        ALL.each_value do |shape|
          match = /\A#{shape.pattern}\s*/.match(text)
          return [ shape, match.post_match ] if match
        end
        nil
      end

      # @return [Regexp] any of their names
      def word = @word ||= Regexp.union(ALL.each_value.map(&:pattern))
    end
  end
end
