module Rhexon
  module Boards
    # Runs dealt over boards of equal size: the levels of every factor as even on each board as can be, and no factor
    # left worse off than another; of those the one whose pairs of levels are the most even. Begun from several
    # orders, and two runs of two boards exchanged as long as that evens them out. The same each time.
    class Dealing
      # Orders begun from: many runs take long, and come near even from any.
      STARTS = 12
      WORK = 6000

      # @return [Array<Array<Integer>>] places in the runs, by board
      attr_reader :boards

      # @param runs [Array<Array<Integer>>] level of each factor, by run
      # @param count [Integer] boards
      def initialize(runs, count)
        @runs = runs
        @factors = runs.first.each_index.to_a
        size = (runs.size / count.to_f).ceil
        @shares = @factors.map do |factor|
          runs.map { |run| run[factor] }.tally.transform_values { |levels| levels / runs.size.to_f }
        end
        dealt = starts(count).map { |order| evened(order.each_slice(size).map(&:dup)) }
        @boards = dealt.min_by { |boards| [ worth(unevenness(boards)).round(9), pairs(boards).round(9) ] }.map(&:sort)
      end

      private

      # By the sum of their levels, which gives to two boards what all factors do together; then at random.
      def starts(count)
        random = Random.new(1)
        places = @runs.each_index.to_a
        [
          places.sort_by { |place| [ @runs[place].sum % count, place ] },
          *Array.new((WORK / @runs.size**2).clamp(1, STARTS)) { places.shuffle(random: random) }
        ]
      end

      def evened(boards)
        by_board = boards.map { |places| uneven(places) }
        while (one, at, other, there, first, second = better(boards, by_board))
          boards[one][at], boards[other][there] = boards[other][there], boards[one][at]
          by_board[one], by_board[other] = first, second
        end
        boards
      end

      # How uneven two boards are once a run of each has changed places.
      def swapped(boards, one, at, other, there)
        [ uneven(with(boards[one], at, boards[other][there])), uneven(with(boards[other], there, boards[one][at])) ]
      end

      def with(places, at, run) = places.dup.tap { |changed| changed[at] = run }

      # The first exchange that evens them out.
      def better(boards, by_board)
        whole = total(by_board)
        best = worth(whole)
        return if best < 1e-9

        boards.each_index.to_a.combination(2) do |one, other|
          boards[one].each_index do |at|
            boards[other].each_index do |there|
              first, second = swapped(boards, one, at, other, there)
              changed = @factors.map do |factor|
                whole[factor] - by_board[one][factor] - by_board[other][factor] + first[factor] + second[factor]
              end
              return [ one, at, other, there, first, second ] if worth(changed) < best - 1e-9
            end
          end
        end
        nil
      end

      def total(by_board) = @factors.map { |factor| by_board.sum { |counts| counts[factor] } }
      def unevenness(boards) = total(boards.map { |places| uneven(places) })

      # Squared, so that what is uneven is shared among the factors.
      def worth(uneven) = uneven.sum { |value| value * value }

      # How far the levels of each factor on a board are from their share.
      def uneven(places)
        @factors.map do |factor|
          here = Hash.new(0)
          places.each { |place| here[@runs[place][factor]] += 1 }
          @shares[factor].sum { |level, share| (here[level] - share * places.size)**2 }
        end
      end

      # The same of the levels of two factors together.
      def pairs(boards)
        @factors.combination(2).sum do |one, other|
          key = ->(place) { @runs[place].values_at(one, other) }
          all = @runs.each_index.map(&key).tally
          boards.sum do |places|
            (here = places.map(&key).tally).then do
              all.sum { |levels, count| (here.fetch(levels, 0) - count * places.size / @runs.size.to_f)**2 }
            end
          end
        end
      end
    end
  end
end
