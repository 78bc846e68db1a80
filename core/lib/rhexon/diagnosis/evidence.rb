module Rhexon
  module Diagnosis
    # What is known of the hour in which a coat was laid on, held against the likely causes of a fault: film, air,
    # waits, what is under it, what was weighed.
    class Evidence
      # @!attribute for   [Boolean, nil] it speaks for the cause, against it, or cannot tell
      # @!attribute words [String, nil] with figures
      Said = Struct.new(:for, :words, keyword_init: true)
      NOTHING = Said.new.freeze
      NAMES = %w[
        film_thick film_thin wrinkles thick_over_pores thinned_out cold damp cold_or_damp hot_dry below_dew moving_air
        too_soon window_missed unsanded stain_wet dusty flatted oily_wood blotchy_wood no_washcoat cut_through
        dye_dissolves tannin grain_not_raised stacked_early steel_wool ratio strong_solvent coarse_grit unsealed
        rubbed_before unthinned
      ].freeze

      # @param plan [Planning::Plan]
      # @param placement [Planning::Placement] the coat at fault
      # @param poured [Hash, nil] what was weighed into its mix: "name", "parts" really in it, "range" of its sheet
      # @param surface_c [Numeric, nil] the surface as it was read
      def initialize(plan, placement, poured: nil, surface_c: nil)
        @plan = plan
        @placement = placement
        @pass = placement.pass
        @product = @pass.product
        @poured = poured
        @surface_c = surface_c
      end

      # @return [String, nil] how it was laid on
      def method = @pass.method

      # @param name [String] of NAMES
      # @return [Said]
      def of(name) = @product ? public_send(name) : NOTHING

      def film_thick = film { |share| share >= table.thick }
      def film_thin = film { |share| share <= table.thin }

      # An oil that dries by air skins over what is too thick.
      def wrinkles
        return NOTHING unless @product.mechanism == "oxidative" && wet

        said(wet > Reference.limits.wrinkle_wet_um || wet >= usual.to_f * table.thick, film_words)
      end

      def thick_over_pores
        open = @pass.faces.map { |face| @pass.piece.wood(face) }.uniq & %w[open semi_open]
        return said(false, "the wood has no open pores") if open.empty?

        film_thick
      end

      def thinned_out
        percent = @pass.step.dig("thinning", "percent") || 0
        return said(false, "it was not thinned") if percent.zero? && @pass.step["cut_lb_per_gal"].nil?

        range = @product.thinning_range_percent or return NOTHING
        said(!percent.between?(*range.minmax),
             "thinned #{number(percent)} %, its range is #{range.minmax.join(" to ")} %")
      end

      def cold
        least = [ Drying::Application.least_c(@product), table.cold_below_c ].compact.max
        said(coldest < least, "#{number(coldest)} °C in the #{@pass.room} then, #{number(least)} °C and more is usual")
      end

      def damp
        said(air.rh > table.damp_above_rh, "#{number(air.rh)} % RH in the #{@pass.room} then")
      end

      # While it dried.
      def cold_or_damp
        line = @plan.shop.line(@pass.dry_room)
        air = line.between(@placement.work_end, [ @plan.shop.now, @placement.work_end + 60 ].max)
        low, high = air.map(&:t_c).min, air.map(&:rh).max
        least = [ Drying::Application.least_c(@product), table.cold_below_c ].compact.max
        said(low < least || high > table.damp_above_rh,
             "#{number(low)} °C at the coldest and #{number(high)} % RH at the dampest in the #{@pass.dry_room} since")
      end

      def hot_dry
        limits = Reference.limits
        said(air.t_c > limits.hot_above_c || (@product.waterborne? && air.rh < limits.dry_below_rh), air_words)
      end

      def below_dew
        return NOTHING unless @product.mechanism == "evaporative"

        table = Reference.drying.cooling_c
        cooled = (table[@product.class_id] || table.fetch("default")).fetch(@pass.method, 3)
        film = coldest - (@pass.step["retarder"] ? cooled / 2.0 : cooled)
        said(film < air.dew_point_c,
             "the film cooled to #{number(film)} °C, the dew point was #{number(air.dew_point_c)} °C")
      end

      def moving_air = said(%w[moving cabinet].include?(air.air), "the air there is #{air.air}")

      def too_soon
        waited = @placement.waits.select { |wait| wait.reached_at && wait.pass.leaves_something? }
        return NOTHING if waited.empty?

        early = waited.map { |wait| wait.reached_at - @placement.work_start }.max
        said(early.positive?,
             early.positive? ? "#{early} min before what is below was ready" : "what is below was ready")
      end

      def window_missed
        window = @placement.window or return NOTHING
        words = { "over" => "the window of the coat below had shut", "scuffed" => "it was scuffed after the window",
                  "open" => "the window of the coat below was open" }
        said(window.state == "over", words[window.state])
      end

      def unsanded = designed("bond.gloss_unsanded")
      def stain_wet = checked("colour.stain_not_dry", "bond.too_soon")
      def flatted = designed("film.foggy")
      def no_washcoat = designed("colour.blotch")
      def cut_through = designed("film.witness", "film.sand_through")
      def dye_dissolves = designed("colour.bleed")
      def tannin = designed("colour.tannin")
      def grain_not_raised = designed("prep.grain_not_raised")
      def coarse_grit = designed("prep.ends_coarse", "prep.endgrain", "prep.grit_skip", anywhere: true)

      # Hot solvents lift what they do not melt.
      def strong_solvent
        return NOTHING if bare?
        return said(false, "its solvents are mild") unless Materials::Pairs.hot?(@product)

        lifted = @pass.under.filter_map { |index| @plan.build.by_index[index]&.pass&.product }
          .find { |lower| lower.film? && lower.family != @product.family }
        said(!lifted.nil?, "#{@product.name} has strong solvents#{", and #{lifted.name} lies under it" if lifted}")
      end

      def unsealed
        open = @pass.faces.map { |face| @pass.piece.wood(face) }.uniq - [ "closed" ]
        said(bare? && open.any?, bare? ? "it lies on bare wood" : "a coat lies under it")
      end

      def rubbed_before
        rubbed = @plan.of_piece(@pass.piece.id).any? do |one|
          one.pass.kind == "rub_out" && one.status != "planned" && one.hands_start > @placement.work_start
        end
        said(rubbed, rubbed ? "it was rubbed out" : "it was not rubbed out")
      end

      def unthinned
        percent = @pass.step.dig("thinning", "percent").to_f
        range = @product.thinning_range_percent or return NOTHING
        said(percent < range.min, "thinned #{number(percent)} %, its range is #{range.minmax.join(" to ")} %")
      end

      def dusty
        from = @placement.work_start - table.dust_min
        till = @plan.drier.reached_at(@placement, "dust_safe") || @placement.work_end
        near = @plan.placements.find do |one|
          one.pass.dust && one.status != "planned" && one.pass.room == @pass.room && one.hands_end > from &&
            one.hands_start < till
        end
        near ? said(true, "something was sanded in the #{@pass.room} around then") : NOTHING
      end

      def oily_wood
        wood&.oily && bare? ? said(true, "#{wood.species} holds oils of its own") : NOTHING
      end

      def blotchy_wood
        return NOTHING unless wood

        said(wood.spots, "#{wood.species} takes colour #{wood.spots ? "unevenly" : "evenly"}")
      end

      def stacked_early
        handle = @plan.drier.reached_at(@placement, "handle") or return NOTHING
        said(@plan.shop.now < handle,
             @plan.shop.now < handle ? "it cannot be handled yet" : "it could be handled by now")
      end

      def steel_wool
        return said(false, "no water is in it") unless @product.waterborne?

        before = @plan.of_piece(@pass.piece.id).select { |one| one.hands_start < @placement.work_start }
        wool = before.flat_map { |one|
          one.pass.step["grits"] || []
        }.any? { |grit| Prep::Abrasive.near(grit).is == "wool" }
        said(wool, wool ? "it was rubbed with wool before" : "it was not rubbed with wool")
      end

      def ratio
        return NOTHING unless @poured

        parts, range = @poured.values_at("parts", "range")
        allowed = ", #{range.minmax.join(" to ")} are allowed" if range
        said(range && !parts.between?(*range.minmax),
             "#{number(parts)} parts of #{@poured["name"]} are in it#{allowed}")
      end

      private

      def table = Reference.faults.evidence
      def wood = @pass.piece.timber(@pass.faces.first, "mean")
      def air = @plan.shop.line(@pass.room).at(@placement.work_start)
      def coldest = [ air.t_c, @surface_c ].compact.min
      def air_words = "#{number(air.t_c)} °C, #{number(air.rh)} % RH in the #{@pass.room} then"
      def wet = @pass.wet_um
      def usual = @product.wet_um(@pass.method)&.value
      def bare? = @pass.under.empty?
      def said(yes, words) = Said.new(for: yes ? true : false, words: words).freeze
      def number(value) = format("%g", value.to_f.round(1))

      def film
        wet && usual ? said(yield(wet / usual.to_f), film_words) : NOTHING
      end

      def film_words
        fact = @plan.shop.facts[@pass.key]
        by = if fact&.comb_um then " by the comb" elsif fact&.pot_g then " by the pot" else " as it was planned" end
        "#{number(wet)} µm wet#{by}#{", #{number(usual)} are usual" if usual}"
      end

      # What a check says of this very coat; that none does is no proof.
      def checked(*ids, findings: Checks::Catalogue.findings(@plan, @pass.piece.id), anywhere: false)
        mine = findings.find { |finding| ids.include?(finding.id) && (anywhere || finding.of?(@pass)) }
        mine ? said(true, mine.title.sub(/^./, &:downcase)) : NOTHING
      end

      # The same of its schedule as if nothing of it were done: checks do not speak of what is past.
      def designed(*ids, anywhere: false)
        known = checked(*ids, anywhere: anywhere)
        known.for ? known : checked(*ids, findings: fresh_findings, anywhere: anywhere)
      end

      def fresh_findings
        @fresh_findings ||= @plan.once([ :undone, @pass.piece.id ]) do
          shop = @plan.shop
          record = shop.record_of(@pass.piece.id)
          Checks::Catalogue.findings(
            Search::Planner.plan(shop.with("pieces" => [ record ], "log" => [], "pins" => [])), @pass.piece.id
          )
        end
      end
    end
  end
end
