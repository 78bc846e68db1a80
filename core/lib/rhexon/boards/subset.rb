module Rhexon
  module Boards
    # The cells of a design of which a few are made: those that tell the main effects best (largest determinant of the
    # information, D-optimal).
    # Fedorov's exchange in the form of Cook and Nachtsheim (1980, Technometrics 22): pick after pick is changed for
    # the candidate that gains most; what an exchange gains is reckoned from the inverse that stands, by Fedorov's
    # formula (Atkinson, Donev and Tobias, Optimum Experimental Designs, ch. 12).
    # Work is bounded by counting, never by the clock, so that the same question has the same answer.
    class Subset
      RESTARTS = 12
      # Multiplications in all: about a second of Ruby on two shared cores.
      WORK = 10_000_000
      ROUNDS = 25
      # A beginning that cannot be told apart is lifted by so much until it can.
      LIFT = 1e-6
      GAIN = 1e-9

      attr_reader :picks, :log_determinant

      # @param rows  [Array<Array<Float>>] candidates, their main effects coded
      # @param count [Integer] cells to pick, at least as many as a row is long
      # @param seed  [Integer]
      def initialize(rows, count, seed)
        @rows = rows
        @sparse = rows.map { |row| row.each_with_index.reject { |value, _| value.zero? }.map(&:reverse) }
        @count = count
        @terms = rows.first.size
        @random = Random.new(seed)
        @left = WORK
        attempts = []
        attempts << exchanged while attempts.empty? || (attempts.size < RESTARTS && @left.positive?)
        @picks, @log_determinant = attempts.max_by { |picks, value| [ value.round(9), picks.map { |pick| -pick } ] }
      end

      private

      # Multiplications of looking at every candidate, and of an inverse.
      def look = @look ||= @sparse.sum { |row| row.size**2 + row.size }
      def inversion = 4 * @terms**3

      def exchanged
        picks = (0...@rows.size).to_a.shuffle(random: @random).first(@count)
        ROUNDS.times { break unless improved?(picks) }
        [ picks.sort, log_determinant_of(picks) ]
      end

      # One round over all picks.
      def improved?(picks)
        moved = false
        inverse = nil
        picks.each_index do |at|
          return false if @left.negative?

          inverse ||= inverse_of(picks)
          better = best_for(picks, at, inverse) or next
          picks[at] = better
          inverse = nil
          moved = true
        end
        moved
      end

      # The candidate in place of a pick that gains most; nil when none does.
      def best_for(picks, at, inverse)
        @left -= look
        taken = picks.to_h { |pick| [ pick, true ] }
        out = inverse.map { |line| along(@sparse[picks[at]], line) }
        leaves = along(@sparse[picks[at]], out)
        best = GAIN
        pick = nil
        @sparse.each_with_index do |row, candidate|
          next if taken[candidate]

          gain = gain(row, inverse, out, leaves)
          best, pick = gain, candidate if gain > best
        end
        pick
      end

      # By how much the determinant grows, less 1: d(x) - d(y) - (d(x)d(y) - d(x,y)²), for x coming in and y going
      # out.
      def gain(row, inverse, out, leaves)
        comes = 0.0
        row.each { |at, value| comes += value * along(row, inverse[at]) }
        between = along(row, out)
        comes - leaves - (comes * leaves - between * between)
      end

      def inverse_of(picks)
        @left -= inversion
        information = Array.new(@terms) { |row| Array.new(@terms) { |column| row == column ? LIFT : 0.0 } }
        picks.each { |pick| add(information, @rows[pick]) }
        Matrix.rows(information).lup.then { |lup| lup.solve(Matrix.identity(@terms)).to_a }
      end

      def add(information, row)
        row.each_with_index do |one, at|
          next if one.zero?

          line = information[at]
          row.each_with_index { |other, column| line[column] += one * other }
        end
      end

      def log_determinant_of(picks)
        information = Array.new(@terms) { Array.new(@terms, 0.0) }
        picks.each { |pick| add(information, @rows[pick]) }
        value = Matrix.rows(information).lup.determinant.abs
        value.positive? ? Math.log(value) : -Float::INFINITY
      end

      # @param row [Array<Array(Integer, Float)>] places and values that are not 0
      def along(row, line)
        sum = 0.0
        row.each { |at, value| sum += value * line[at] }
        sum
      end
    end
  end
end
