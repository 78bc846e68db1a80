module Rhexon
  module Mixing
    # What to do after pours that missed their targets t_i. A component outside its tolerance is accepted when its
    # real share is inside its own range; otherwise k = max(a_i / t_i) of the poured amounts a_i scales every target,
    # and what is in the pot is topped up. A hardener is held against the base that is really in the pot, of which
    # thinner is no part.
    class Correction
      # @!attribute low_add_g, high_add_g [Float] least and most that may still go in, by the component's tolerance
      Pour = Struct.new(:name, :add_g, :final_g, :low_add_g, :high_add_g, keyword_init: true) do
        # @param resolution_g [Numeric] what the scale cannot tell is nothing
        # @return [String] waiting, short (some is in) or done
        def state(resolution_g)
          return "waiting" unless final_g - add_g > 0

          add_g < resolution_g / 2.0 ? "done" : "short"
        end
      end
      # @!attribute blocked_by [String, nil] container, stock or pot_life
      # @!attribute pours      [Array<Pour>]
      # @!attribute cost       [Float, nil] of what it takes or throws away, in the shop's money; nil without prices
      Option = Struct.new(:kind, :total_g, :extra_g, :cost, :blocked_by, :sentence, :pours, keyword_init: true)
      TINY = 1e-9

      attr_reader :sheet

      # @param sheet [PourSheet]
      # @param poured [Array<Hash>] {"name", "g"}, in order; several pours of one component add up
      # @param limits [Hash] "container_ml", "usable_g": what the pot holds and what can be used before the pot life
      #   ends
      # @param leave [Boolean] what went in too much is left as it is, the rest is poured as first planned
      # @raise [InvalidInput]
      def initialize(sheet, poured, limits = {}, leave: false)
        @sheet = sheet
        @limits = limits
        @leave = leave
        @amounts = Array.new(recipe.components.size)
        poured.each { |pour| add(pour) }
      end

      # @return [Float] k, at least 1: how much larger the batch becomes
      def factor = @factor ||= @leave ? 1.0 : [ 1.0, *over.map { |index| @amounts[index] / targets[index] } ].max

      # @return [Array<Pour>] what is still to add of each
      def pours = @pours ||= @leave ? pours_to(at_least_planned) : filled(factor)

      def total_g = pours.sum(&:final_g)
      def total_ml = pours.zip(recipe.components).sum { |pour, component| pour.final_g / component.density_g_per_ml }

      # Components poured outside their tolerance and inside their own range: kept, with the share they really have.
      # @return [Hash{String=>Float}] name => share as its recipe reads it
      def accepted
        indices.select { |index| fate(index) == :accepted }.to_h do |index|
          [ recipe.components[index].name, share(index) ]
        end
      end

      # What the pot comes to once all of it is poured.
      # @return [Hash{String=>Float}] name => share as its recipe reads it, of all but the base
      def comes_to
        finals = pours.map(&:final_g)
        indices.drop(1).to_h { |index| [ recipe.components[index].name, recipe.own_reading(index, finals) ] }
      end

      # Base went in after the hardener: stir again; the pot life already runs.
      def stir_again?
        poured?("hardener") &&
          pours.any? { |pour| pour.add_g > TINY && recipe.components[recipe.index(pour.name)].role == "base" }
      end

      def needed? = factor > 1 + TINY

      # @return [Array<Option>] the best first; one when nothing went wrong
      def options
        return [] unless needed?

        all = [ accept, top_up, split, discard ].compact
        all.sort_by.with_index do |option, place|
          [ option.blocked_by ? 1 : 0, factor > discard_first && option.kind == "discard" ? 0 : 1, place ]
        end
      end

      private

      def recipe = sheet.recipe
      def targets = sheet.grams
      def indices = recipe.components.each_index
      def in_pot = @amounts.map { |amount| amount || 0.0 }
      def discard_first = Reference.mixing.discard_first_above

      def add(pour)
        index = recipe.index(pour["name"]) or
          raise InvalidInput.new(
            "The mix has no component called #{pour["name"]}", where: "poured",
            accepted: recipe.components.map(&:name).join(", ")
          )
        grams = pour["g"]
        Rhexon.refuse_unless(
          grams.is_a?(Numeric) && grams.to_f.finite? && grams >= 0 && grams <= PourSheet::MOST_G,
          "#{grams.inspect} g of #{pour["name"]} cannot have been poured", where: "poured", accepted: "0 g or more"
        )
        @amounts[index] = (@amounts[index] || 0.0) + grams
      end

      def over = indices.select { |index| fate(index) == :over }

      # @return [Symbol] :waiting, :inside, :under, :accepted or :over
      def fate(index)
        amount = @amounts[index]
        return :waiting unless amount
        return :inside if inside?(index, amount, 1.0)
        return :accepted if in_own_range?(index)

        amount > aim(index, 1.0) ? :over : :under
      end

      def inside?(index, amount, scale)
        index.zero? ? base_stays?(scale) : near?(index, amount, aim(index, scale))
      end

      def near?(index, amount, wanted)
        (amount / wanted - 1).abs * 100 <= recipe.components[index].tolerance_percent + TINY
      end

      # What is wanted of it: of a hardener by the base that will be there.
      def aim(index, scale)
        hardener?(index) ? targets[index] / targets[0] * base_at(scale) : targets[index] * scale
      end

      def base_at(scale)
        planned, amount = targets[0] * scale, @amounts[0]
        return planned unless amount

        base_stays?(scale) ? amount : [ planned, amount ].max
      end

      # Near enough by itself, and enough of it for the hardener that is in it.
      def base_stays?(scale)
        near?(0, @amounts[0], targets[0] * scale) && indices.all? do |index|
          amount, wanted = @amounts[index], targets[index] / targets[0] * @amounts[0]
          amount.nil? || !hardener?(index) || amount < wanted || in_own_range?(index) || near?(index, amount, wanted)
        end
      end

      def hardener?(index) = index.positive? && recipe.components[index].role == "hardener"

      def in_own_range?(index)
        range = recipe.components[index].range or return false
        index.positive? && share(index).between?(range[0] - TINY, range[1] + TINY)
      end

      # The share with what is poured so far and the targets of the rest.
      def share(index) = recipe.own_reading(index, @amounts.zip(targets).map { |amount, target| amount || target })

      def filled(scale)
        indices.map do |index|
          amount = @amounts[index] || 0.0
          keeps = @amounts[index] &&
            (inside?(index, amount, scale) || (fate(index) == :accepted && in_range_at?(index, scale)))
          add = keeps ? 0.0 : [ aim(index, scale) - amount, 0.0 ].max
          pour(index, add, amount + add)
        end
      end

      def pour(index, add, final)
        slack = aim(index, factor) * recipe.components[index].tolerance_percent / 100
        Pour.new(name: recipe.components[index].name, add_g: add, final_g: final, low_add_g: [ add - slack, 0.0 ].max,
                 high_add_g: add + slack)
      end

      def in_range_at?(index, scale)
        amounts = indices.map { |other| other == index ? @amounts[index] : targets[other] * scale }
        recipe.own_reading(index, amounts).between?(*recipe.components[index].range)
      end

      def poured?(role) = indices.any? { |index| @amounts[index] && recipe.components[index].role == role }

      def top_up
        extra = total_g - sheet.total_g
        Option.new(
          kind: "top_up", total_g: total_g, extra_g: extra,
          cost: cost(pours.map(&:final_g).zip(targets).map { |final, target| [ final - target, 0 ].max }),
          blocked_by: blocked, pours: pours,
          sentence: "Top up the rest to the same ratio: #{grams(total_g)} in all, #{grams(extra)} more than " \
                    "planned.#{" Stir again; the pot life already runs." if stir_again?}"
        )
      end

      def blocked
        return "container" if @limits["container_ml"] && total_ml > @limits["container_ml"]
        if pours.any? { |pour|
          (left = recipe.components[recipe.index(pour.name)].left_g) && pour.add_g > left + TINY
        }
          return "stock"
        end

        "pot_life" if @limits["usable_g"] && total_g > @limits["usable_g"]
      end

      def within_tolerance?(index, amounts)
        off = (recipe.own_reading(index, amounts) / recipe.components[index].parts - 1).abs * 100
        off <= recipe.components[index].tolerance_percent + TINY
      end

      def share_in_range(index, amounts)
        "#{recipe.components[index].name} at #{format("%.3g", recipe.own_reading(index, amounts))} " \
          "(#{recipe.components[index].range.map { |end_of| format("%g", end_of) }.join(" to ")})"
      end

      # Everything to its first target; offered when each share stays inside the range its maker allows.
      def accept
        amounts = at_least_planned
        ranged = indices.drop(1).select { |index| recipe.components[index].range }
        loose = indices.drop(1) - ranged
        unless ranged.any? &&
            ranged.all? { |index| recipe.own_reading(index, amounts).between?(*recipe.components[index].range) }
          return
        end
        return unless loose.all? { |index| within_tolerance?(index, amounts) }

        shares = ranged.map { |index| share_in_range(index, amounts) }
        Option.new(
          kind: "accept", total_g: amounts.sum, extra_g: 0.0, cost: 0.0, pours: pours_to(amounts),
          sentence: "Accept it and pour the rest as planned: #{shares.join(", ")}, inside what the maker allows."
        )
      end

      def at_least_planned = indices.map { |index| [ in_pot[index], targets[index] ].max }

      def pours_to(amounts) = indices.map { |index| pour(index, amounts[index] - in_pot[index], amounts[index]) }

      # Takes 1 - 1/k of the pot out into a second pot, so that this one comes to the planned size.
      def split
        kept = in_pot.map { |amount| amount / factor }
        amounts = indices.map { |index| [ kept[index], targets[index] ].max }
        out = in_pot.sum - kept.sum
        later = poured?("hardener") ? "the hardener in it runs on" : "keep it for the next mix"
        Option.new(kind: "split", total_g: amounts.sum, extra_g: out, cost: 0.0,
                   pours: indices.map { |index| pour(index, amounts[index] - kept[index], amounts[index]) },
                   sentence: "Take #{grams(out)} out into a second pot and finish this one as planned; #{later}.")
      end

      def discard
        Option.new(kind: "discard", total_g: 0.0, extra_g: in_pot.sum, cost: cost(in_pot), pours: [],
                   sentence: "Throw #{grams(in_pot.sum)} away and begin again.")
      end

      def cost(grams)
        prices = recipe.components.map(&:price_per_kg)
        grams.zip(prices).sum { |g, price| price ? g / 1000.0 * price : 0.0 } if prices.any?
      end

      def grams(value) = "#{value >= 100 ? value.round : value.round(1)} g"
    end
  end
end
