module Rhexon
  module Drying
    # What a coat goes through after it is laid.
    class Milestones
      ORDER = %w[dust_safe touch recoat_opens].freeze
      HARD_ORDER = %w[touch handle stack rub_out full_cure].freeze

      # A coat as it was laid.
      # @!attribute wet_um [Float, nil] wet film, µm (nil for materials that leave none)
      # @!attribute earlier_coats [Integer] coats of the same evaporative stack in the 24 h before
      # @!attribute stack_dry_um [Float] dry film of that stack with this coat, µm
      # @!attribute shop [Hash{String=>Float}, nil] the shop's own factor b by phase; nil: the sheet's time holds
      # @!attribute hardener_parts [Numeric, nil] what is mixed in, where the sheet gives its cure at both ends
      Coat = Struct.new(:product, :method, :wet_um, :earlier_coats, :stack_dry_um, :shop, :hardener_parts,
                        keyword_init: true)

      attr_reader :coat, :line, :from

      # @param air [ClimateTimeline, Climate] of the room it dries in
      # @param from [Integer] minute it is on
      def initialize(coat, air, from = 0)
        @coat = coat
        @line = air.is_a?(ClimateTimeline) ? air : ClimateTimeline.steady(air)
        @from = from
        @all = {}
        @progress = {}
      end

      # @return [Milestone, nil] nil when the product has no such milestone
      def [](name) = @all.fetch(name) { @all[name] = in_order(name) }

      # Growth of drying times with the coats of the same evaporative stack laid in the 24 h before.
      def self.coat_factor(earlier)
        [ 1 + table.coat_step * earlier, table.coat_cap ].min
      end

      # What must have passed for a milestone, whenever laying ends and however many coats are under it.
      # @param pair [Materials::Figure, nil] the pair's own wait, in the place of *recoat opens*
      # @return [Opening, nil] nil when the product has no such milestone
      def opening(name, pair: nil, factor: 1.0, least: 0)
        needs = pair ? [ need("recoat_opens", pair.value) ] : chain(name) or return
        parts = needs.group_by(&:first).map do |phase, rows|
          Opening::Part.new(progress(phase), rows.map(&:last).max * factor, phase, crowded?(phase)).freeze
        end
        Opening.new(parts.freeze, least: least)
      end

      # @param name [String] of a closing: recoat_closes, wipe_off_latest, flash_max, soft_latest
      # @return [Closing, nil] nil when it never shuts
      def closing(name = "recoat_closes", factor: 1.0)
        sheet = coat.product.milestone(name, coat.method)&.value or return
        Closing.new(Rate.closing(coat.product, line, name), sheet * factor).freeze
      end

      # Minutes to *recoat opens* when the pair of materials has its own wait.
      # @param pair [Materials::Figure]
      def opens_after_pair(pair) = build("recoat_opens", pair)

      # A milestone's figure at the sheet's climate. Of two figures out of order the class default gives way: an
      # estimate is never later than what the sheet itself says of a later milestone.
      # @return [Materials::Figure, nil]
      def figure(name)
        sheet_figure = coat.product.milestone(name, coat.method)
        return sheet_figure unless sheet_figure&.value && sheet_figure.estimate

        later = after(name)
          .filter_map { |following| coat.product.milestone(following, coat.method) }
          .reject(&:estimate)
          .filter_map(&:value).min
        if later && later < sheet_figure.value
          Materials::Figure.new(value: later,
                                source: "#{sheet_figure.source}, and not after what the sheet says of later",
                                estimate: true)
        else
          sheet_figure
        end
      end

      # When a number of reference minutes of a phase have passed.
      # @return [Float, nil] minute
      def reached(phase, needed) = progress(phase).reached(from, needed)

      # Reference minutes of a phase that have passed by then.
      def passed(phase, minute) = progress(phase).between(from, minute)

      private

      # Earlier coats of an evaporative stack slow what their solvent passes through.
      def crowded?(phase) = phase == "early" && coat.product.mechanism == "evaporative"

      # The milestone and those it may not be before. What the sheet says of it is not held back by estimates.
      # @return [Array<Array(String, Float)>, nil] phase and reference minutes
      def chain(name)
        figure = figure(name)
        return unless figure&.value

        earlier = before(name).find do |candidate|
          (held = figure(candidate))&.value && (figure.estimate || !held.estimate)
        end
        [ need(name, figure.value), *(chain(earlier) if earlier) ]
      end

      # Milestones that come before one, the nearest first.
      def before(name)
        return [] if name == "recoat_opens" && coat.product.tacky_recoat?

        [ ORDER, HARD_ORDER ]
          .find { |names| names.index(name)&.positive? }.to_a
          .take_while { |other| other != name }.reverse
      end

      # Milestones that come after one.
      def after(name)
        later = [ ORDER, HARD_ORDER ].flat_map do |names|
          names.include?(name) ? names.drop(names.index(name) + 1) : []
        end
        later |= HARD_ORDER if name == "dust_safe"
        coat.product.tacky_recoat? ? later - [ "recoat_opens" ] : later
      end

      def need(name, sheet)
        Rate.phase(name).then do |phase|
          [ phase, sheet * film_factor(name) * share_factor(phase) * shop_factor(phase) ]
        end
      end

      # Hardener at another share than the sheet's.
      def share_factor(phase) = phase == "hard" ? coat.product.cure_factor(coat.hardener_parts) : 1.0

      def shop_factor(phase) = coat.shop ? coat.shop.fetch(phase) : 1.0

      def progress(phase) = @progress[phase] ||= Rate.progress(coat.product, phase, line)

      # No milestone before the one it rests on.
      def in_order(name)
        figure = figure(name)
        return unless figure&.value

        own = build(name, figure)
        held = before(name).filter_map { |earlier| self[earlier] }.find do |earlier|
          figure.estimate || !earlier.source.estimate
        end
        return own if held.nil? || own.minutes >= held.minutes

        Milestone.new(**held.to_h, name: name, bound_by: held.bound_by || held.name)
      end

      def build(name, figure)
        phase = Rate.phase(name)
        own = {
          film: film_factor(name) * share_factor(phase),
          coat: crowded?(phase) ? self.class.coat_factor(coat.earlier_coats.to_i) : 1.0, shop: shop_factor(phase)
        }
        needed = figure.value * own.each_value.reduce(:*)
        Milestone.new(name: name, sheet_min: figure.value.to_f, own: own, needed: needed,
                      minutes: minutes(phase, needed), source: figure, phase: phase,
                      causes: -> { causes(phase, figure.value.to_f, own) })
      end

      def minutes(phase, needed) = reached(phase, needed)&.-(from) || Float::INFINITY

      # Each cause is turned on after the other and the time reckoned anew, so that the rows sum exactly.
      def causes(phase, sheet, own)
        times = [
          sheet,
          *Rate::CAUSES.map { |cause|
            Rate.progress(coat.product, phase, line, cause).reached(from, sheet)&.-(from) || Float::INFINITY
          }
        ]
        share = 1.0
        own.each_value { |factor| times << minutes(phase, sheet * (share *= factor)) }
        times = told(times) if times.last.finite?
        [ *Rate::CAUSES, *own.keys ].zip(times.each_cons(2)).to_h do |cause, (before, after)|
          [ cause, before.infinite? || before.zero? ? 1.0 : after / before ]
        end
      end

      # Where a film was dry before the air got too cold, a longer time on the way to it would have no end: what cannot
      # be told by itself goes with the next cause.
      def told(times)
        times.each_with_object([]) { |time, known| known << (time.finite? ? time : known.last) }
      end

      # How the film that was laid lengthens a time: the solvent of an evaporative stack leaves by diffusion, so that
      # its thickness decides; the carrier of any film leaves by the film it is stated for; other films cure at their
      # own pace.
      def film_factor(name)
        return stack_factor if coat.product.mechanism == "evaporative" && SOLVENT_LEFT.include?(name)
        return 1.0 unless Rate::EARLY.include?(name)

        stated = coat.product.stated_wet_um(name, coat.method)
        return 1.0 unless coat.wet_um && stated

        low, high = table.film_clamp.fetch(coat.product.states?(name, coat.method) ? "stated" : "class")
        carrier_factor(coat.wet_um.to_f, stated.to_f).clamp(low, high)
      end

      SOLVENT_LEFT = %w[rub_out full_cure].freeze
      private_constant :SOLVENT_LEFT

      # (wet / wet_sheet)^n; a thick oil film skins over, without a jump where that begins.
      def carrier_factor(wet, stated)
        return (wet / stated)**exponent unless coat.product.mechanism == "oxidative"

        skins = table.oxidative_skins_from_um.to_f
        wet / stated * ([ wet, skins ].max / [ stated, skins ].max)**table.oxidative_skin_exponent
      end

      def exponent
        exponents = table.film_exponent
        return exponents.fetch(coat.product.mechanism, 0) unless coat.product.mechanism == "reactive"

        { "water" => exponents.fetch("coalescing"), "none" => 0 }.fetch(
          coat.product.carrier, exponents.fetch("evaporative")
        )
      end

      # clamp(stack / a usual finished film, 1, 2.9)^0.5
      def stack_factor
        usual = coat.product.finished_um
        return 1.0 unless coat.stack_dry_um && usual

        low, high = table.stack_clamp
        (coat.stack_dry_um / usual.to_f).clamp(low, high)**table.stack_exponent
      end

      def table = self.class.table

      def self.table = Reference.drying
    end
  end
end
