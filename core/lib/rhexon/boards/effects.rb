require "matrix"

module Rhexon
  module Boards
    # What each thing that was varied does to a measure: main effects and interactions of two, by least squares.
    # The error is what treatments differ by from block to block; several cells on one board are no replicates.
    class Effects
      # @!attribute factor  [String]
      # @!attribute from, to [String] levels compared
      # @!attribute size    [Float] measure at +to+ less at +from+, the others in balance
      # @!attribute low, high [Float, nil] 95 % interval; nil without replicates
      # @!attribute with [String, nil] the other factor of an interaction: half the difference that its level makes to
      #   this effect
      # @!attribute significance [String] certain, cannot_tell (the interval holds 0), no_replicate
      Effect = Struct.new(:factor, :from, :to, :size, :low, :high, :with, :significance, keyword_init: true)
      # @!attribute effects  [Array<Effect>] the largest first
      # @!attribute lost     [Array<String>] what the ruined cells took: in words
      # @!attribute error_sd [Float, nil]
      # @!attribute degrees_of_freedom [Integer] of the error
      Result = Struct.new(:effects, :mean, :error_sd, :degrees_of_freedom, :lost, keyword_init: true)
      SHARE = 0.975

      # Columns of the main effects of a run, the sum of each over its levels 0.
      # @param run [Array<Integer>]
      # @param sizes [Array<Integer>] levels of each factor
      def self.main_row(run, sizes) = [ 1.0, *run.zip(sizes).flat_map { |level, size| coded(level, size) } ]

      # Two levels: -1, 1. More: one column for each level but the first, the first -1 in all.
      def self.coded(level, size)
        return [ level.zero? ? -1.0 : 1.0 ] if size == 2

        (1...size).map { |other|
          if level.zero?
            -1.0
          else
            (level == other ? 1.0 : 0.0)
          end
        }
      end

      # @param factors [Array<Hash>] "name", "levels"
      # @param runs [Array<Hash>] "levels" (indexes), "block", "value" (nil: ruined or not read)
      # @return [Result]
      # @raise [InvalidInput] with fewer than two values
      def self.for(factors, runs) = new(factors, runs).result

      def initialize(factors, runs)
        @factors = factors
        @sizes = factors.map { |factor| factor["levels"].size }
        @runs = runs.reject { |run| run["value"].nil? }
        @ruined = runs.size - @runs.size
        Rhexon.refuse_unless(
          @runs.size >= 2, "#{@runs.size} readings cannot show what anything does", where: "runs",
          accepted: "at least two cells with a reading"
        )
        @runs.each { |run| check(run) }
        @blocks = @runs.map { |run| run["block"] }.uniq
      end

      # @return [Result]
      def result
        fit = solved
        error = error_sd
        result = mains(fit, error) + pairs(fit, error)
        Result.new(effects: result.sort_by { |effect| -effect.size.abs }, mean: fit[:values][0], error_sd: error,
                   degrees_of_freedom: degrees_of_freedom, lost: lost).freeze
      end

      private

      def check(run)
        ok = run["levels"].is_a?(Array) && run["levels"].size == @sizes.size &&
          run["levels"].zip(@sizes).all? { |level, size| level.is_a?(Integer) && level.between?(0, size - 1) } &&
          run["value"].is_a?(Numeric)
        Rhexon.refuse_unless(
          ok, "A run names a level of each factor and a value", where: "runs",
          accepted: '{"levels":[0,1],"block":"board 1","value":2.5}'
        )
      end

      # Terms in the order in which they are fitted: the mean, blocks, main effects, interactions of two-level
      # factors.
      def terms
        @terms ||= [ [ :mean ], *@blocks.drop(1).map { |block| [ :block, block ] },
                     *@sizes.each_index.flat_map { |at| Array.new(@sizes[at] - 1) { |nth| [ :main, at, nth ] } },
                     *two_level.combination(2).map { |one, other| [ :pair, one, other ] } ]
      end

      def two_level = @sizes.each_index.select { |at| @sizes[at] == 2 }

      def column(term)
        kind, one, other = term
        @runs.map do |run|
          case kind
          when :mean then 1.0
          when :block then if run["block"] == one
                             1.0
                           else
                             (run["block"] == @blocks.first ? -1.0 : 0.0)
                           end
          when :main then self.class.coded(run["levels"][one], @sizes[one])[other]
          when :pair then (run["levels"][one].zero? ? -1.0 : 1.0) * (run["levels"][other].zero? ? -1.0 : 1.0)
          end
        end
      end

      # Terms that can be told apart, one after the other: a column that lies in the span of those before it cannot.
      def estimable
        @estimable ||= begin
          basis = []
          terms.select do |term|
            rest = basis.reduce(Vector.elements(column(term))) { |left, unit| left - unit * left.inner_product(unit) }
            next false if rest.norm < 1e-8

            basis << rest / rest.norm
            true
          end
        end
      end

      # @return [Hash] values by place of the term, and the inverse of the information
      def solved
        @solved ||= begin
          x = Matrix.columns(estimable.map { |term| column(term) })
          inverse = (x.transpose * x).inverse
          values = inverse * x.transpose * Vector.elements(@runs.map { |run| run["value"].to_f })
          { values: values.to_a, inverse: inverse }
        end
      end

      # Residual spread of the additive model of block and treatment: what treatments differ by from block to block.
      def error_sd
        return if degrees_of_freedom < 1

        x = Matrix.columns(additive)
        y = Vector.elements(repeated.map { |run| run["value"].to_f })
        Math.sqrt([ (y - x * ((x.transpose * x).inverse * x.transpose * y)).norm**2, 0 ].max / degrees_of_freedom)
      end

      # Runs of treatments that lie on more than one block.
      def repeated
        @repeated ||= @runs.group_by { |run| run["levels"] }
          .select { |_, same| same.map { |run| run["block"] }.uniq.size > 1 }.values.flatten
      end

      # Blocks need not hold all treatments: only what can be told apart is counted.
      def additive
        @additive ||= begin
          treatments = repeated.map { |run| run["levels"] }.uniq
          independent([
                        repeated.map { 1.0 },
                        *@blocks.drop(1).map { |block| repeated.map { |run| run["block"] == block ? 1.0 : 0.0 } },
                        *treatments.drop(1).map { |levels|
                          repeated.map { |run|
                            run["levels"] == levels ? 1.0 : 0.0
                          }
                        }
                      ])
        end
      end

      def degrees_of_freedom = repeated.empty? ? 0 : [ repeated.size - additive.size, 0 ].max

      def independent(columns)
        basis = []
        columns.select do |column|
          rest = basis.reduce(Vector.elements(column)) { |left, unit| left - unit * left.inner_product(unit) }
          next false if rest.norm < 1e-8

          basis << rest / rest.norm
        end
      end

      def mains(fit, error)
        @sizes.each_index.flat_map { |at| (1...@sizes[at]).filter_map { |level| main(fit, error, at, level) } }
      end

      # Level against the first: a sum of the coded columns.
      def main(fit, error, at, level)
        weights = estimable.map { |term| term[0] == :main && term[1] == at ? weight(at, level, term[2]) : 0.0 }
        if (0...(@sizes[at] - 1)).any? { |nth|
          weight(at, level, nth) != 0 && !estimable.include?([ :main, at, nth ])
        }
          return
        end

        levels = @factors[at]["levels"]
        effect(fit, error, weights, factor: @factors[at]["name"], from: levels[0], to: levels[level])
      end

      def weight(at, level, nth) = self.class.coded(level, @sizes[at])[nth] - self.class.coded(0, @sizes[at])[nth]

      def pairs(fit, error)
        estimable.each_with_index.filter_map do |term, place|
          next unless term[0] == :pair

          one, other = @factors.values_at(term[1], term[2])
          effect(
            fit, error, estimable.each_index.map { |index| index == place ? 2.0 : 0.0 }, factor: one["name"],
            from: one["levels"][0], to: one["levels"][1], with: other["name"]
          )
        end
      end

      def effect(fit, error, weights, **names)
        size = weights.zip(fit[:values]).sum { |weight, value| weight * value }
        half = error &&
          Statistics::StudentT.quantile(SHARE, degrees_of_freedom) * error *
            Math.sqrt([ Vector.elements(weights).inner_product(fit[:inverse] * Vector.elements(weights)), 0 ].max)
        significance = if half.nil?
          "no_replicate"
        else
          (size.abs > half ? "certain" : "cannot_tell")
        end
        Effect.new(size: size, low: half && size - half, high: half && size + half, significance: significance,
**names).freeze
      end

      def lost
        gone = (terms - estimable).reject { |term| term[0] == :block }.map { |term| named(term) }.uniq
        return [] if gone.empty?

        [ "#{gone.join(", ")} cannot be told from the cells that were " \
          "read#{@ruined.positive? ? " (#{@ruined} ruined or not read)" : ""}" ]
      end

      def named(term)
        if term[0] == :main
          @factors[term[1]]["name"]
        else
          "#{@factors[term[1]]["name"]} with #{@factors[term[2]]["name"]}"
        end
      end
    end
  end
end
