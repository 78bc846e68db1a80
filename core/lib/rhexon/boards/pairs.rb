require "matrix"

module Rhexon
  module Boards
    # Strengths from blind picks of pairs, after Bradley and Terry (1952): the odds that one is picked over another
    # are the ratio of their strengths.
    # Half a win is added each way to every pair, so that a clean sweep stays finite.
    module Pairs
      # @!attribute strength [Float] ln, the mean of all 0
      # @!attribute sd       [Float] standard error of it
      # @!attribute wins, losses [Integer]
      Strength = Struct.new(:id, :strength, :sd, :wins, :losses, keyword_init: true)
      ADDED = 0.5
      ROUNDS = 2000

      module_function

      def standing(id, strength, sd, picks)
        Strength.new(id: id, strength: strength, sd: sd, wins: picks.count { |winner, _| winner == id },
                     losses: picks.count { |_, loser| loser == id }).freeze
      end
      private_class_method :standing

      # @param ids [Array<Object>] what was compared
      # @param picks [Array<Array(Object, Object)>] picked, and passed over
      # @return [Array<Strength>] the strongest first
      # @raise [InvalidInput]
      def strengths(ids, picks)
        Rhexon.refuse_unless(ids.size >= 2 && picks.flatten.all? { |id| ids.include?(id) },
                             "A pick names two of what is compared", where: "picks", accepted: "at least two cells")
        won = ids.to_h { |one| [ one, ids.to_h { |other| [ other, one == other ? 0.0 : ADDED ] } ] }
        picks.each { |winner, loser| won[winner][loser] += 1 }
        logs = solve(ids, won).transform_values { |value| Math.log(value) }
        mean = logs.values.sum / logs.size
        errors = errors(ids, won, logs)
        ids.map { |id| standing(id, logs[id] - mean, errors[id], picks) }
           .sort_by { |standing| [ -standing.strength, ids.index(standing.id) ] }
      end

      # @return [Boolean] whether the first is ahead of the second by more than chance, at 95 %
      def ahead?(ids, picks)
        first, second = strengths(ids, picks)
        first.strength - second.strength > 1.96 * Math.sqrt(first.sd**2 + second.sd**2)
      end

      # Every pair once, shuffled, sides too: the eye should not learn where to look.
      # @return [Array<Array(Object, Object)>]
      def order(ids, seed)
        random = Random.new(seed)
        ids.combination(2).to_a.shuffle(random: random).map { |pair| random.rand(2).zero? ? pair : pair.reverse }
      end

      # Minorisation and maximisation (Hunter 2004).
      def solve(ids, won)
        strength = ids.to_h { |id| [ id, 1.0 ] }
        ROUNDS.times do
          following = ids.to_h do |one|
            [
              one,
              won[one].values.sum /
                ids.sum do |other|
                  one == other ? 0.0 : (won[one][other] + won[other][one]) / (strength[one] + strength[other])
                end
            ]
          end
          scale = ids.size / following.values.sum
          moved = ids.map { |id| (following[id] * scale - strength[id]).abs }.max
          strength = following.transform_values { |value| value * scale }
          break if moved < 1e-12
        end
        strength
      end
      private_class_method :solve

      # From the information of the log strengths, held to a mean of 0.
      def errors(ids, won, logs)
        information = ids.map do |one|
          ids.map do |other|
            if one == other
              ids.sum { |third| third == one ? 0.0 : weight(won, logs, one, third) }
            else
              -weight(won, logs, one, other)
            end
          end
        end
        share = 1.0 / ids.size
        inverse = (Matrix.rows(information) + Matrix.build(ids.size) { share }).inverse -
          Matrix.build(ids.size) { share }
        ids.each_with_index.to_h { |id, at| [ id, Math.sqrt([ inverse[at, at], 0 ].max) ] }
      end
      private_class_method :errors

      def weight(won, logs, one, other)
        share = 1 / (1 + Math.exp(logs[other] - logs[one]))
        (won[one][other] + won[other][one]) * share * (1 - share)
      end
      private_class_method :weight
    end
  end
end
