module Rhexon
  module Proposals
    # What loops of this shop really took until somebody said yes: rounds by what was done, with what, on which wood.
    class LoopHistory
      # @!attribute kind    [String] of the work that is gone through again
      # @!attribute product [String, nil] id
      # @!attribute wood    [String, nil] species, or the wood as it is named
      # @!attribute rounds  [Integer] beyond the first time
      Taken = Struct.new(:kind, :product, :wood, :rounds, keyword_init: true)
      # @!attribute mean  [Float]
      # @!attribute sd    [Float, nil] nil: one loop alone
      # @!attribute count [Integer] loops
      # @!attribute same_wood [Boolean] all of them on that wood
      Found = Struct.new(:mean, :sd, :count, :same_wood, keyword_init: true) do
        # @return [String] "5 loops of it here took 2.4 rounds in the mean, give or take 0.5"
        def words
          loops = count == 1 ? "One loop of it here" : "#{count} loops of it here"
          many = mean == mean.round ? mean.round : mean.round(1)
          "#{loops} took #{many} #{many == 1 ? "round" : "rounds"}#{" in the mean" if count > 1}" \
            "#{", give or take #{format("%g", sd.round(1))}" if sd}#{", on any wood" unless same_wood}"
        end
      end

      # @return [Array<Taken>]
      attr_reader :taken

      # @param taken [Array<Taken>]
      def initialize(taken)
        @taken = taken
      end

      # Of the same work with the same product, on this wood where that is known, else on any.
      # @return [Found, nil]
      def find(kind:, product:, wood:)
        same = @taken.select { |one| one.kind == kind && one.product == product }
        here = same.select { |one| one.wood == wood }
        list = here.any? ? here : same
        return if list.empty?

        rounds = list.map(&:rounds)
        mean = rounds.sum / rounds.size.to_f
        sd = Math.sqrt(rounds.sum { |one| (one - mean)**2 } / (rounds.size - 1)) if rounds.size > 1
        Found.new(mean: mean, sd: sd, count: rounds.size, same_wood: here.any?)
      end
    end
  end
end
