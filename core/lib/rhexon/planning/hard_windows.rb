module Rhexon
  module Planning
    # Which pass must catch a hard window, and of which film: wet on wet, level while soft, one pot. Reads +@passes+ and
    # the faces of the expansion it is part of.
    module HardWindows
      private

      HARD = { "wet_on_wet" => %w[flash_min flash_max], "while_soft" => %w[soft_earliest soft_latest] }.freeze

      # Wet on wet lies over the same product only, which nothing has rubbed since.
      def still_wet?(below, pass)
        at(below).product == pass.product && pass.faces.none? { |face| state(face)[:abraded].key?(below) }
      end

      def flagged(pass, below)
        HARD.keys.find do |flag|
          next unless pass.step[flag]

          below.nil? || (flag == "wet_on_wet" ? still_wet?(below, pass) : still_soft?(below))
        end
      end

      # Work between that waits until the film is hard leaves nothing soft to level.
      def still_soft?(below)
        @passes.none? { |other| other.needs.any? { |need| need.pass == below && LATE.include?(need.milestone) } }
      end
      LATE = %w[rub_out stack full_cure].freeze
      private_constant :LATE

      def hard(pass)
        below = pass.faces.flat_map { |face| state(face)[:film] }.max
        kind = flagged(pass, below)
        if kind && below && at(below).film? && at(below).product.milestone(HARD.fetch(kind).last)&.value
          return HardWindow.new(kind: kind, lower: below, closes: HARD.fetch(kind).last).freeze
        end

        first = @passes.find { |other| same_pot?(other, pass) }
        HardWindow.new(kind: "one_batch", lower: first.index).freeze if pass.step["one_batch"] && first
      end

      # Each round of a loop is a pot of its own.
      def same_pot?(one, other)
        one.film? && one.step.equal?(other.step) &&
          [ one, other ].map { |pass| Schedule::Loops.round_of(pass.step, pass.faces.first, pass.coat).first }.uniq.one?
      end

      def hard_opening(pass, index)
        pass.hard && HARD.key?(pass.hard.kind) && at(index).film? ? HARD.fetch(pass.hard.kind).first : nil
      end
    end
  end
end
