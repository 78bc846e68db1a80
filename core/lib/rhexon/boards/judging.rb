module Rhexon
  module Boards
    # Cells against each other: a score by the job's weights, who is beaten in everything, and the best looks for
    # their hours.
    class Judging
      # @!attribute score    [Float, nil] 0 to 1; nil when nothing that counts was read
      # @!attribute aspects  [Hash{String=>Float}] score of each aspect that was read
      # @!attribute missing  [Array<String>] aspects with a weight and no reading
      # @!attribute beaten_by [Object, nil] a cell that is better in every measure both have
      # @!attribute frontier [Boolean] none has a better look in fewer minutes of hands
      Verdict = Struct.new(:id, :score, :aspects, :missing, :beaten_by, :frontier, keyword_init: true)

      # @param cells [Hash{Object=>Hash{String=>Numeric}}] measures of the sound cells, means by measure
      # @param weights [Hash{String=>Numeric}] aspect => weight
      # @param gloss [Array(Numeric, Numeric), nil] wanted, GU
      def initialize(cells, weights, gloss: nil)
        @cells = cells
        @weights = weights.select { |_, weight| weight.positive? }
        @gloss = gloss
        unknown = weights.keys - table.aspects
        Rhexon.refuse_unless(
          unknown.empty?, "#{unknown.first} is nothing that is weighed", where: "weights",
          accepted: table.aspects.join(", ")
        )
      end

      # @return [Array<Verdict>] the best first; cells without a score at the end
      def verdicts
        @cells.keys.map { |id| verdict(id) }.sort_by.with_index { |verdict, at| [ -(verdict.score || -1), at ] }
      end

      # A measure on its curve.
      # @return [Float, nil] 0 to 1; nil when the measure has no curve or no target
      def self.mapped(measure, value, gloss: nil)
        record = Reference.judging.measures.fetch(measure)
        if record["better"] == "target" && gloss
          return between(Reference.judging.gloss_curve, off(value, gloss))
        end

        record["curve"] && between(record["curve"], value)
      end

      def self.off(value, (low, high)) = value.between?(low, high) ? 0 : [ (value - low).abs, (value - high).abs ].min
      private_class_method :off

      # Straight lines between the points, level beyond them.
      def self.between(curve, value)
        return curve.first[1] if value <= curve.first[0]

        right = curve.index { |x, _| x >= value } or return curve.last[1]
        (x1, y1), (x2, y2) = curve[right - 1], curve[right]
        y1 + (y2 - y1) * (value - x1) / (x2 - x1).to_f
      end
      private_class_method :between

      private

      def table = Reference.judging
      def record(measure) = table.measures.fetch(measure)

      def verdict(id)
        aspects = aspects(id)
        known = @weights.slice(*aspects.keys)
        score = known.sum { |aspect, weight| weight * aspects[aspect] } / known.values.sum.to_f if known.any?
        Verdict.new(id: id, score: score, aspects: aspects, missing: @weights.keys - aspects.keys,
                    beaten_by: @cells.keys.find { |other| beats?(other, id) }, frontier: frontier?(id)).freeze
      end

      # Mean of the measures of each aspect.
      def aspects(id)
        scores = @cells.fetch(id).filter_map do |measure, value|
          (score = score(measure, value)) && [ record(measure).fetch("aspect"), score ]
        end
        scores.group_by(&:first).transform_values { |pairs| pairs.sum(&:last) / pairs.size }
      end

      # Hands, days and cost count against the most and the least of the trial.
      def score(measure, value)
        return self.class.mapped(measure, value, gloss: @gloss) unless record(measure)["relative"]

        least, most = @cells.values.filter_map { |cell| cell[measure] }.minmax
        most == least ? 1.0 : (most - value) / (most - least).to_f
      end

      def beats?(other, id)
        return false if other == id

        both = (@cells.fetch(other).keys & @cells.fetch(id).keys).select do |measure|
          score(measure, @cells[id][measure])
        end
        both.size >= 2 &&
          both.all? { |measure| score(measure, @cells[other][measure]) > score(measure, @cells[id][measure]) }
      end

      def frontier?(id)
        mine = standing(id) or return false
        @cells.keys.none? do |other|
          (theirs = standing(other)) && theirs[0] >= mine[0] && theirs[1] <= mine[1] && theirs != mine
        end
      end

      # Look, and minutes of hands.
      def standing(id) = (look = aspects(id)["look"]) && (hands = @cells.fetch(id)["hands_min"]) && [ look, hands ]
    end
  end
end
