module Rhexon
  module Drying
    # One milestone of one coat: the sheet's time and what each cause makes of it.
    #
    # @!attribute sheet_min [Float] minutes on the sheet, at the sheet's climate and film
    # @!attribute factors   [Hash{Symbol=>Float}] temperature, humidity, air, film, coat, shop; their product times sheet_min is +minutes+
    # @!attribute minutes   [Float] time in this shop; infinite when the film waits
    # @!attribute source    [Materials::Figure] where the sheet time comes from
    # @!attribute bound_by  [String, nil] the earlier milestone that this one may not precede
    Milestone = Struct.new(:name, :sheet_min, :factors, :minutes, :source, :bound_by, keyword_init: true) do
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
      # @!attribute shop [Float] the shop's own factor b
      Coat = Struct.new(:product, :method, :wet_um, :earlier_coats, :stack_dry_um, :shop, keyword_init: true)

      attr_reader :coat, :climate

      def initialize(coat, climate)
        @coat = coat
        @climate = climate
        @rates = %w[early hard].to_h { |phase| [ phase, Rate.factors(coat.product, phase, climate) ] }
        @all = ordered(Rate::EARLY + Rate::HARD)
      end

      # @return [Milestone, nil] nil when the product has no such milestone
      def [](name) = @all[name]

      # @return [Float, nil] minutes from the end of laying until recoating needs a scuff; nil when it never does
      def closes_min
        sheet = coat.product.milestone("recoat_closes")&.value
        sheet && sheet * Rate.closing_factor(coat.product, climate)
      end

      # Minutes to *recoat opens* when the pair of materials asks for its own wait (reference minutes).
      def opens_after_pair(pair_min)
        own = self["recoat_opens"]
        return own unless pair_min && pair_min > (own ? own.sheet_min : 0)

        build("recoat_opens", Materials::Figure.new(value: pair_min, source: Materials::Pairs.source, estimate: true))
      end

      def rate(phase) = @rates.fetch(phase)

      private

      def ordered(names)
        product = coat.product
        all = names.filter_map { |name| (figure = product.milestone(name))&.value && [ name, build(name, figure) ] }.to_h
        [ ORDER, HARD_ORDER ].each do |chain|
          chain.filter_map { |name| all[name] }.each_cons(2) { |before, after| hold(all, before, after) }
        end
        all
      end

      def hold(all, before, after)
        before = all[before.name]
        return if after.minutes >= before.minutes

        all[after.name] = Milestone.new(**before.to_h, name: after.name, bound_by: before.bound_by || before.name)
      end

      def build(name, figure)
        climate_factors = rate(Rate.phase(name))
        factors = { temperature: climate_factors.temperature, humidity: climate_factors.humidity, air: climate_factors.air,
                    film: film_factor(name), coat: coat_factor, shop: coat.shop || 1.0 }
        Milestone.new(name: name, sheet_min: figure.value.to_f, factors: factors,
                      minutes: figure.value * factors.each_value.reduce(:*), source: figure)
      end

      def film_factor(name)
        return stack_factor if coat.product.mechanism == "evaporative" && %w[rub_out full_cure].include?(name)

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

      def coat_factor
        return 1.0 unless coat.product.mechanism == "evaporative"

        [ 1 + constants.fetch("coat_step") * coat.earlier_coats.to_i, constants.fetch("coat_cap") ].min
      end

      def constants = Reference.table("drying")
    end
  end
end
