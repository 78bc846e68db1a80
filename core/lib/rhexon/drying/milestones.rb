module Rhexon
  module Drying
    # One milestone of one coat: the sheet's time and what each cause makes of it.
    #
    # @!attribute sheet_min [Float] minutes on the sheet, at the sheet's climate and film
    # @!attribute own       [Hash{Symbol=>Float}] film, coat, shop: factors that do not depend on the air
    # @!attribute needed    [Float] sheet_min times them: reference minutes to pass
    # @!attribute minutes   [Float] time in this shop from the end of laying; infinite when the film waits for ever
    # @!attribute source    [Materials::Figure] where the sheet time comes from
    # @!attribute bound_by  [String, nil] the earlier milestone that this one may not precede
    # @!attribute phase     [String] early or hard
    # @!attribute causes    [Proc] () -> Hash{Symbol=>Float}
    Milestone = Struct.new(:name, :sheet_min, :own, :needed, :minutes, :source, :bound_by, :phase, :causes, keyword_init: true) do
      # Temperature, humidity, air, film, coat, shop; their product times sheet_min is +minutes+.
      # @return [Hash{Symbol=>Float}]
      def factors = causes.call

      # Rows for the drying ledger: [cause, minutes it adds], in the order sheet, temperature, humidity, air, film, coat, shop;
      # they sum exactly to +minutes+.
      def ledger
        running = sheet_min
        [ [ :sheet, sheet_min ] ] + factors.map do |cause, factor|
          before, running = running, running * factor
          [ cause, running - before ]
        end
      end
    end

    # What a coat goes through after it is laid.
    class Milestones
      ORDER = %w[dust_safe touch recoat_opens].freeze
      HARD_ORDER = %w[touch handle stack rub_out full_cure].freeze

      # A coat as it was laid.
      # @!attribute wet_um [Float, nil] wet film, µm (nil for materials that leave none)
      # @!attribute earlier_coats [Integer] coats of the same evaporative stack in the 24 h before
      # @!attribute stack_dry_um [Float] dry film of that stack with this coat, µm
      # @!attribute shop [Hash{String=>Float}, nil] the shop's own factor b by phase; nil: the sheet's time holds
      Coat = Struct.new(:product, :method, :wet_um, :earlier_coats, :stack_dry_um, :shop, keyword_init: true)

      attr_reader :coat, :line, :from

      # @param air [Line, Climate] of the room it dries in
      # @param from [Integer] minute it is on
      def initialize(coat, air, from = 0)
        @coat = coat
        @line = air.is_a?(Line) ? air : Line.steady(air)
        @from = from
        @all = {}
        @progress = {}
      end

      # @return [Milestone, nil] nil when the product has no such milestone
      def [](name) = @all.fetch(name) { @all[name] = in_order(name) }

      # Growth of drying times with the coats of the same evaporative stack laid in the 24 h before.
      def self.coat_factor(earlier)
        constants = Reference.table("drying")
        [ 1 + constants.fetch("coat_step") * earlier, constants.fetch("coat_cap") ].min
      end

      # What must have passed for a milestone, whenever laying ends and however many coats are under it.
      # @return [Opening, nil] nil when the product has no such milestone
      def opening(name, pair_min: nil, factor: 1.0, least: 0)
        needs = pair?(pair_min) ? [ need("recoat_opens", pair_min) ] : chain(name) or return
        parts = needs.group_by(&:first).map { |phase, found| Opening::Part.new(progress(phase), found.map(&:last).max * factor, phase).freeze }
        Opening.new(parts.freeze, crowded: crowded?, least: least)
      end

      # @param name [String] of a closing: recoat_closes, wipe_off_latest, flash_max, soft_latest
      # @return [Closing, nil] nil when it never shuts
      def closing(name = "recoat_closes", factor: 1.0)
        sheet = coat.product.milestone(name)&.value or return
        Closing.new(Rate.closing(coat.product, line, name), sheet * factor).freeze
      end

      # Minutes to *recoat opens* when the pair of materials asks for its own wait (reference minutes).
      def opens_after_pair(pair_min)
        return self["recoat_opens"] unless pair?(pair_min)

        build("recoat_opens", Materials::Figure.new(value: pair_min, source: Materials::Pairs.source, estimate: true))
      end

      # When a number of reference minutes of a phase have passed.
      # @return [Float, nil] minute
      def reached(phase, needed) = progress(phase).reached(from, needed)

      # Reference minutes of a phase that have passed by then.
      def passed(phase, minute) = progress(phase).between(from, minute)

      private

      # The pair's wait takes the place of the product's own where it is longer.
      def pair?(pair_min) = !pair_min.nil? && pair_min > (coat.product.milestone("recoat_opens")&.value || 0)

      def crowded? = coat.product.mechanism == "evaporative"

      # The milestone and those it may not be before.
      # @return [Array<Array(String, Float)>, nil] phase and reference minutes
      def chain(name)
        figure = coat.product.milestone(name)
        return unless figure&.value

        earlier = [ ORDER, HARD_ORDER ].find { |names| names.index(name)&.positive? }&.then { |names| names.first(names.index(name)).reverse.find { |found| coat.product.milestone(found)&.value } }
        [ need(name, figure.value), *(chain(earlier) if earlier) ]
      end

      def need(name, sheet) = Rate.phase(name).then { |phase| [ phase, sheet * film_factor(name) * shop_factor(phase) ] }

      def shop_factor(phase) = coat.shop ? coat.shop.fetch(phase) : 1.0

      def progress(phase) = @progress[phase] ||= Rate.progress(coat.product, phase, line)

      # No milestone before the one it rests on.
      def in_order(name)
        figure = coat.product.milestone(name)
        return unless figure&.value

        own = build(name, figure)
        before = before(name)
        return own if before.nil? || own.minutes >= before.minutes

        Milestone.new(**before.to_h, name: name, bound_by: before.bound_by || before.name)
      end

      def before(name)
        chain = [ ORDER, HARD_ORDER ].find { |names| names.index(name)&.positive? } or return
        chain.first(chain.index(name)).reverse_each { |earlier| (found = self[earlier]) and return found }
        nil
      end

      def build(name, figure)
        phase = Rate.phase(name)
        own = { film: film_factor(name), coat: crowded? ? self.class.coat_factor(coat.earlier_coats.to_i) : 1.0, shop: shop_factor(phase) }
        needed = figure.value * own.each_value.reduce(:*)
        Milestone.new(name: name, sheet_min: figure.value.to_f, own: own, needed: needed, minutes: minutes(phase, needed), source: figure, phase: phase, causes: -> { causes(phase, figure.value.to_f, own) })
      end

      def minutes(phase, needed) = reached(phase, needed)&.-(from) || Float::INFINITY

      # Each cause is turned on after the other and the time reckoned anew, so that the rows sum exactly.
      def causes(phase, sheet, own)
        times = [ sheet, *Rate::CAUSES.map { |cause| Rate.progress(coat.product, phase, line, cause).reached(from, sheet)&.-(from) || Float::INFINITY } ]
        share = 1.0
        own.each_value { |factor| times << minutes(phase, sheet * (share *= factor)) }
        [ *Rate::CAUSES, *own.keys ].zip(times.each_cons(2)).to_h { |cause, (before, after)| [ cause, before.infinite? || before.zero? ? 1.0 : after / before ] }
      end

      def film_factor(name)
        return stack_factor if crowded? && %w[rub_out full_cure].include?(name)

        sheet = coat.product.wet_um(coat.method)&.value
        return 1.0 unless coat.wet_um && sheet

        low, high = constants.fetch("film_clamp")
        ((coat.wet_um.to_f / sheet)**film_exponent(name)).clamp(low, high)
      end

      def film_exponent(name)
        table = constants.fetch("film_exponent")
        case coat.product.mechanism
        when "oxidative" then table.fetch(coat.wet_um < table.fetch("oxidative_thick_from_um") ? "oxidative_thin" : "oxidative_thick")
        when "reactive" then %w[dust_safe touch recoat_opens].include?(name) ? carrier_exponent(table) : 0
        else table.fetch(coat.product.mechanism, 0)
        end
      end

      def carrier_exponent(table)
        case coat.product.carrier
        when "water" then table.fetch("coalescing")
        when "none" then 0
        else table.fetch("evaporative")
        end
      end

      # Solvent leaves a thick evaporative stack slowly: (stack / two usual coats)^0.5, at most 3.
      def stack_factor
        usual = coat.product.usual_dry_um(coat.method)
        return 1.0 unless coat.stack_dry_um && usual&.positive?

        [ [ 1.0, coat.stack_dry_um / (2 * usual) ].max**0.5, constants.fetch("stack_cap") ].min
      end

      def constants = Reference.table("drying")
    end
  end
end
