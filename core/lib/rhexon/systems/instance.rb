module Rhexon
  module Systems
    # A system made for one piece: products, prepared wood, coats for the film its use asks for, pores and sheen as
    # they are wished, planned into the shop and mended until no check stops it.
    class Instance
      # Film is built with so much to spare.
      MARGIN = 1.1
      MOST_COATS = 30
      # Of thin wiped ones nobody lays more.
      MOST_WIPED = 10
      # Mendings tried at most.
      ROUNDS = 5
      # Of cautions these are mended too; the others are told.
      MENDED = /\A(bond|pore|prep|film\.too_thin|film\.foggy|colour\.(blotch|bleed|stain_not_dry))/
      # Work after which wood is bare: it is sanded then.
      BARES = %w[strip clean].freeze
      private_constant :MENDED, :BARES

      # @return [String, nil] why it fell out; nil: it did not
      attr_reader :reason, :system, :plan

      # @param system [System]
      # @param base [Planning::Plan] of the shop with the piece, and what is to buy
      # @param shelf [Shelf]
      # @param kept [Kept]
      def initialize(system, base, piece_id, wish, shelf, kept)
        @system = system
        @base = base
        @id = piece_id
        @piece = base.piece(piece_id)
        @wish = wish
        @shelf = shelf
        @kept = kept
        @draft = Draft.new(system, @piece, wish, shelf, base.shop, kept)
      end

      # @return [Instance, nil] self; nil where it fell out
      def make
        return fell("nothing to lay it on with") unless @draft.whole?

        blocked = @draft.blocked
        return fell(blocked) if blocked

        build and mended
      end

      # @return [Array<Materials::Product>] what is not on the shelf
      def bought
        products = document["steps"].filter_map { |step| @base.shop.products[step["product"]] }.uniq
        products.select { |product| @shelf.bought?(product) }
      end

      def document = plan.piece(@id).schedule

      private

      def fell(reason)
        @reason = reason
        nil
      end

      def steps = document["steps"]

      def build
        laid = @draft.laid
        planned(laid) or return
        before = prepared
        bare = @kept.steps.size + laid.drop(@kept.steps.size).take_while { |step| BARES.include?(step["kind"]) }.size
        before.empty? || planned(@draft.numbered([ *laid.first(bare), *before, *laid.drop(bare) ])) or return
        enough_film or return
        shine
        rubbed
        true
      end

      # @return [Planning::Plan, nil] with these steps, placed among the other work; nil where they cannot be
      def planned(steps)
        record = @base.shop.record_of(@id).merge("schedule" => @piece.schedule.merge("steps" => steps))
        made = Search::Planner.around(@base, record)
        return fell("it cannot be planned") unless made&.build&.ready&.fetch(@id, nil)

        @plan = made
      rescue InvalidInput => refusal
        fell(refusal.message.delete_suffix("."))
      end

      # The same, or all as it was.
      def tried(steps)
        return unless @kept.in?(steps)

        before = @plan
        planned(steps) || (@plan = before) && nil
      end

      # Sanded by what follows, and the grain raised under water.
      def prepared
        return [] if !@draft.bare? || @kept.kind?("sand", "stain", "fill")
        return [ { "kind" => "sand", "grits" => Reference.new_steps.floor["grits"], "machine" => true } ] if floor?

        sand = Proposals::FreshStep.new(Proposals::Place.new(plan, @id, nil)).of("sand", {}).except("id")
        return [ sand ] unless @draft.raises?

        [ sand, { "kind" => "raise_grain" }, sand.merge("grits" => sand["grits"].last(1)) ]
      end

      def floor? = @piece.use == "floor"
      def final = plan.film(@id, plan.thickest_face(@id)).final

      # As many coats more as the use of the piece lacks, or as are usual of what has no least film.
      def enough_film
        laid = @system.lays.reverse.find { |one| one["coats"] == "film" } or return true
        short = [ usual_coats_left(laid), least_coats(laid) ].max
        return more(laid, short) if short.positive?

        lacking = Film::MinimumThickness.um(@piece.use, final).to_f * MARGIN - final.total_um
        each = final.layers.last&.laid_um.to_f
        lacking.positive? && each.positive? ? more(laid, (lacking / each).ceil) : true
      end

      # What is wiped or padded shines more with each coat, up to what its sheet says.
      def shine
        laid = @system.lays.reverse.find { |one| one["coats"] == "film" } or return
        while dull? && (step = step_of(laid)) && step["coats"] < most_coats(step)
          more = { "coats" => [ step["coats"] + 2, most_coats(step) ].min }
          tried(steps.map { |one| one.equal?(step) ? one.merge(more) : one }) or return
        end
      end

      def dull?
        top = final.top
        @wish.sheen && top && top.way != "builder" && final.sheen_gu.to_f < @wish.sheen.first &&
          top.sheen_gu.to_f > @wish.sheen.first
      end

      def usual_coats_left(laid)
        step = step_of(laid) or return 0
        (Film::MinimumThickness.usual_coats(step["method"]) || 0) - step["coats"]
      end

      # What a way wants at the least where the sun lies on it, whatever the film under it.
      def least_coats(laid)
        step = step_of(laid)
        step && @piece.use == "marine" ? laid["least_in_the_sun"].to_i - step["coats"] : 0
      end

      def step_of(laid)
        product = @draft.picks[@system.lays.index(laid)].first.id
        steps.reverse.find { |one| one["product"] == product && one["kind"] == "coat" }
      end

      def more(laid, coats)
        step = step_of(laid) or return true
        all = step["coats"] + coats
        return fell("#{all} coats") if all > most_coats(step)

        planned(steps.map { |one| one.equal?(step) ? one.merge("coats" => one["coats"] + coats) : one })
      end

      def most_coats(step) = step["method"] == "wipe" ? MOST_WIPED : MOST_COATS

      # Rubbed to its sheen where the can does not give it.
      def rubbed
        gu = final.sheen_gu
        return if @wish.sheen.nil? || gu.nil? || gu.between?(*@wish.sheen) || @system.strips?
        return if steps.any? { |step| step["kind"] == "wax" } || final.top&.way == "padded"

        rungs = Proposals::RubOut.to_sheen(final, @wish.gu, @base.shop.rubs(@piece)) or return
        rub = { "kind" => "rub_out", "grits" => rungs.map(&:to_s), **wet(rungs) }
        tried(@draft.numbered([ *steps, rub ]))
      end

      def wet(rungs)
        return {} unless rungs.all?(&:paper?)

        top = @draft.picks.compact.last.first
        { "wet" => true, "lubricant" => top.class_id == "shellac" ? "oil" : "soapy_water" }
      end

      def mended
        ROUNDS.times do
          finding = open_findings.find { |one| one.remedies.any?(&:operation) } or break
          apply(finding.remedies.find(&:operation)) or break
        end
        stop = findings.find { |finding| finding.level == "stop" }
        stop ? fell(stop.title.sub(/^./, &:downcase)) : self
      end

      # What is done cannot be done otherwise any more.
      def findings
        done = plan.of_piece(@id).select { |one| one.status == "done" }.map { |one| one.pass.key }
        Checks::Catalogue.findings(plan, @id).reject { |finding| finding.passes.all? { |key| done.include?(key) } }
      end

      # A date that is missed is told, not mended: that is what others are proposed for.
      def open_findings
        findings.reject { |finding| finding.id == "time.due" || finding.level == "note" }
          .select { |finding| finding.level == "stop" || MENDED.match?(finding.id) }
      end

      def apply(remedy)
        tried(Schedule::Edit.apply(document, remedy.operation)["steps"])
      rescue InvalidInput
        nil
      end
    end
  end
end
