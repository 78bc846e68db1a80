require "matrix"

module Rhexon
  module Boards
    # Which combinations of what is varied become cells.
    class Design
      # @!attribute runs       [Array<Array<Integer>>] level of each factor, by cell
      # @!attribute resolution [Integer, nil] of a fraction: 3 main effects hide behind interactions of two, 4 and
      #   more do not
      # @!attribute confounded [Array<String>] in words, what cannot be told apart
      # @!attribute efficiency [Float, nil] of a searched subset against an orthogonal design, 0 to 1 (D-efficiency)
      Result = Struct.new(:kind, :runs, :resolution, :confounded, :efficiency, keyword_init: true)
      KINDS = %w[full half quarter subset one_at_a_time].freeze
      # Generators of quarters by number of factors (Box, Hunter and Hunter, Statistics for Experimenters): each added
      # factor is a product of others.
      QUARTERS = {
        5 => [ [ 0, 1 ], [ 0, 2 ] ], 6 => [ [ 0, 1, 2 ], [ 1, 2, 3 ] ], 7 => [ [ 0, 1, 2, 3 ], [ 0, 1, 3, 4 ] ]
      }.freeze
      # Of more combinations than this a subset is picked from a sample.
      MOST_CANDIDATES = 400
      LETTERS = ("A".."Z").to_a.freeze

      # Runs dealt over boards so that each main effect is seen within boards, then each two together.
      # @param runs [Array<Array<Integer>>]
      # @param boards [Integer]
      # @return [Array<Array<Integer>>] places in +runs+, by board
      def self.dealt(runs, boards) = boards <= 1 ? [ runs.each_index.to_a ] : Dealing.new(runs, boards).boards

      # @param dealt [Array<Array<Integer>>] places in +runs+, by board
      # @param factors [Array<Hash>]
      # @return [Array<String>] what lies wholly between boards, in words
      def self.between_boards(runs, dealt, factors)
        return [] if dealt.size < 2

        factors.each_index.select { |at| dealt.all? { |places| places.map { |place| runs[place][at] }.uniq.size <= 1 } }
               .map { |at| "#{factors[at]["name"]} cannot be told from the boards: each has one level of it" }
      end

      # @param factors [Array<Hash>] "name" and "levels" (2 to 5 each)
      # @param kind [String]
      # @param runs [Integer, nil] cells of a subset
      # @param seed [Integer]
      # @return [Result]
      # @raise [InvalidInput]
      def self.for(factors, kind, runs: nil, base: nil, seed: 1)
        Rhexon.refuse_unless(
          KINDS.include?(kind), "The design #{kind.inspect} is not known", where: "design", accepted: KINDS.join(", ")
        )
        design = new(factors, seed)
        case kind
        when "subset" then design.subset(runs)
        when "one_at_a_time" then design.one_at_a_time(base)
        else design.public_send(kind)
        end
      end

      def initialize(factors, seed)
        table = Reference.judging
        least, most = table.levels
        Rhexon.refuse_unless(factors.is_a?(Array) && factors.any?, "Choose at least one thing to vary",
                             where: "factors", accepted: "1 to 8 factors")
        Rhexon.refuse_unless(factors.size <= table.most_factors, "#{factors.size} things to vary are too many",
                             where: "factors", accepted: "1 to #{table.most_factors} factors")
        factors.each do |factor|
          Rhexon.refuse_unless(factor.is_a?(Hash), "A factor has a name and levels", where: "factors")
        end
        factors.each do |factor|
          Rhexon.refuse_unless(
            factor["levels"].is_a?(Array) && factor["levels"].size.between?(least, most) &&
              factor["levels"].uniq.size == factor["levels"].size,
            "#{factor["name"]} needs #{least} to #{most} different levels", where: "factors",
            accepted: "#{least} to #{most} levels"
          )
        end
        @factors = factors
        @sizes = factors.map { |factor| factor["levels"].size }
        @most = table.most_cells
        @seed = seed
      end

      # Every combination.
      def full
        few!(combinations)
        made("full", full_candidates, resolution: nil)
      end

      # Half of two-level factors: the last is the product of all others.
      def half
        two_levels!("half", 3)
        fraction("half", [ (0...(@sizes.size - 1)).to_a ])
      end

      # A quarter of two-level factors.
      def quarter
        two_levels!("quarter", 5)
        Rhexon.refuse_unless(
          QUARTERS.key?(@sizes.size), "A quarter is made of 5 to 7 factors", where: "design",
          accepted: "a subset, or fewer factors"
        )
        fraction("quarter", QUARTERS.fetch(@sizes.size))
      end

      # So many cells of all, balanced as well as can be, the same for the same seed.
      # @param count [Integer]
      def subset(count = nil)
        terms = 1 + @sizes.sum { |size| size - 1 }
        most = [ combinations, @most ].min
        Rhexon.refuse_unless(terms <= most, "#{terms - 1} effects are too many for a subset of at most #{most} cells",
                             where: "factors", accepted: "fewer things to vary, or fewer levels")
        Rhexon.refuse_unless(
          count.is_a?(Integer) && count.between?(terms, most),
          "A subset of #{count.inspect} cells cannot tell #{terms - 1} effects", where: "runs",
          accepted: "#{terms} to #{most} cells"
        )
        candidates = combinations > MOST_CANDIDATES ? sampled : full_candidates
        search = Subset.new(candidates.map { |run| Effects.main_row(run, @sizes) }, count, @seed)
        made(
          "subset", search.picks.map { |pick| candidates[pick] }, resolution: nil,
          efficiency: Math.exp(
            (search.log_determinant - terms * Math.log(count) - orthogonal_log_determinant) / terms
          ),
          confounded: [ "Interactions are not told apart from main effects in a subset" ]
        )
      end

      # From a base each level of each factor alone.
      # @param base [Array<Integer>] level of each factor
      def one_at_a_time(base = nil)
        base ||= @sizes.map { 0 }
        others = @sizes.each_with_index.flat_map do |size, at|
          ((0...size).to_a - [ base[at] ]).map { |level| base.dup.tap { |run| run[at] = level } }
        end
        made(
          "one_at_a_time", [ base, *others ], resolution: nil,
          confounded: [ "Interactions cannot be seen: each thing is varied alone" ]
        )
      end

      private

      def made(kind, runs, resolution:, confounded: [], efficiency: nil)
        few!(runs.size)
        Result.new(kind: kind, runs: runs, resolution: resolution, confounded: confounded,
                   efficiency: efficiency).freeze
      end

      # Counted before anything is multiplied out.
      def few!(count)
        Rhexon.refuse_unless(
          count <= @most, "#{count} cells are too many", where: "design",
          accepted: "at most #{@most}: a half, a quarter or a subset"
        )
      end

      def combinations = @sizes.reduce(:*)

      # Combinations drawn at random, each once.
      def sampled
        random = Random.new(@seed)
        drawn = {}
        drawn[random.rand(combinations)] = true while drawn.size < MOST_CANDIDATES
        drawn.keys.sort.map do |number|
          @sizes.map { |size| number.divmod(size).then { |rest, level| level.tap { number = rest } } }
        end
      end

      # Of all combinations, a cell: factors are orthogonal there, so each stands by itself.
      def orthogonal_log_determinant
        @sizes.sum do |size|
          rows = (0...size).map { |level| Effects.coded(level, size) }
          Math.log(Matrix.rows(rows).then { |x| (x.transpose * x) / size.to_f }.determinant)
        end
      end

      def two_levels!(kind, least)
        Rhexon.refuse_unless(
          @sizes.size >= least && @sizes.all?(2), "A #{kind} needs at least #{least} factors of two levels each",
          where: "design", accepted: "a subset, or every combination"
        )
      end

      def full_candidates = @sizes.map { |size| (0...size).to_a }.then { |first, *rest| first.product(*rest) }

      # The generated factors' levels are products of the others' signs.
      def fraction(kind, generators)
        basic = @sizes.size - generators.size
        runs = [ 0, 1 ].repeated_permutation(basic).map do |run|
          run + generators.map { |of| of.sum { |at| 1 - run[at] }.even? ? 1 : 0 }
        end
        words = defining(generators, basic)
        made(kind, runs, resolution: words.map(&:size).min, confounded: confounded(words))
      end

      # Words of the defining relation: products of factors that are one in every run.
      def defining(generators, basic)
        first = generators.each_with_index.map { |of, at| (of + [ basic + at ]).sort }
        first.each_index.flat_map do |size|
          first.combination(size + 1).map { |some| some.flatten.tally.select { |_, count| count.odd? }.keys.sort }
        end
      end

      # Main effects and interactions of two that are seen as one.
      def confounded(words)
        effects = (0...@sizes.size).flat_map { |at| [ [ at ] ] } + (0...@sizes.size).to_a.combination(2).to_a
        groups = effects.group_by do |effect|
          [ effect, *words.map { |word| (effect | word) - (effect & word) } ]
            .map(&:sort)
            .min_by { |alias_| [ alias_.size, alias_ ] }
        end
        groups.values.select { |group| group.size > 1 }.map do |first, *rest|
          "#{named(first)} cannot be told from #{rest.map { |effect| named(effect) }.join(" or ")}"
        end
      end

      def named(effect)
        if effect.size == 1
          @factors[effect[0]]["name"]
        else
          "#{effect.map { |at| @factors[at]["name"] }.join(" with ")} together"
        end
      end
    end
  end
end
