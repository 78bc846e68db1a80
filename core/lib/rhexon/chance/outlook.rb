module Rhexon
  module Chance
    # The chance of being ready: dates of so many seeded runs of a plan, and what drives them.
    class Outlook
      RUNS = 500
      # A wait that moves the date this much or less by rank says nothing.
      LEAST_RANK = 0.15

      # @!attribute pass [Planning::Pass] the one whose drying moves the date most, of all that lay its product on
      # @!attribute rank [Float] Spearman's rank correlation of its drying time with the date, -1 to 1
      Driver = Struct.new(:pass, :rank, keyword_init: true) do
        def key = pass.key
      end

      # @param plan [Planning::Plan]
      # @param runs [Integer]
      def initialize(plan, runs: RUNS)
        @plan = plan
        @runs = runs
        @sampling = Sampling.new(plan, runs)
      end

      # @return [Array<Integer>] ready dates of a piece in order; shorter than the runs where some were never ready
      def dates(piece_id) = (@dates ||= {})[piece_id] ||= @sampling.ready[number(piece_id)].sort

      # @param share [Float] 0 to 1
      # @return [Integer, nil] minute by which that share of the runs was ready
      def quantile(piece_id, share)
        dates(piece_id)[(share * @runs).ceil.clamp(1, @runs) - 1]
      end

      # @return [Float] share of the runs that were ready by then
      def share_by(piece_id, minute)
        (dates(piece_id).bsearch_index { |date| date > minute } || dates(piece_id).size) / @runs.to_f
      end

      # So many dates that stand for all of them, for a picture.
      # @return [Array<Integer>]
      def dots(piece_id, count) = Array.new(count) { |index| quantile(piece_id, (index + 0.5) / count) }.compact

      # What dries and drives the date, each product once, strongest first.
      # @return [Array<Driver>]
      def drivers(piece_id, most = 3)
        ready = @sampling.ready[number(piece_id)]
        return [] if ready.size < @runs || ready.uniq.size < 2

        model = @plan.model
        found = (model.first[number(piece_id)]..model.last[number(piece_id)]).filter_map do |index|
          spans = @sampling.drying[index]
          next if spans.uniq.size < 2

          rank = Statistics::Rank.correlation(spans, ready)
          Driver.new(pass: model.passes[index], rank: rank.round(2)) if rank > LEAST_RANK
        end
        found.sort_by { |driver| -driver.rank }.uniq { |driver| driver.pass.product || driver.pass.step }.first(most)
      end

      private

      def number(piece_id) = @plan.shop.pieces.index { |piece| piece.id == piece_id }
    end
  end
end
