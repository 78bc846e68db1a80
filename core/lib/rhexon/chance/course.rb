module Rhexon
  module Chance
    # What every run of a plan shares: its passes in their order, what each waits for, and how its draws are named.
    class Course
      # @!attribute scuff [Boolean] the scuff before the pass with that index
      Step = Struct.new(:index, :scuff, :piece, :person, :room, :dry_room, :tool, :single, :dust, :film, :setup, :work,
                        :cleanup, :count, :minutes, :settles, :not_before, :waits, :unders, :scuff_min, :dust_safe,
                        :hand_key, :after_day, keyword_init: true)
      # @!attribute fixed [Integer, nil] minute that the log has settled
      Wait = Struct.new(:lower, :parts, :least, :fixed)
      # @!attribute draw [Integer] which belief
      Part = Struct.new(:process, :needed, :phase, :draw)

      attr_reader :steps, :last_coats

      # @param plan [Planning::Plan]
      # @param draws [Draws]
      def initialize(plan, draws)
        @plan = plan
        @model = plan.model
        @draws = draws
        @beliefs = []
        @processes = {}
        @early_keys, @hard_keys = %w[early hard].map { |phase|
          @model.passes.map { |pass| draws.key("#{pass.key}/#{phase}") }
        }
        @steps = plan.placements
          .select { |placement|
            placement.status != "done" && placement.status != "running" ||
              placement.hands.empty? && placement.because != "log"
          }
          .map { |placement| step(placement) }
        @last_coats = @model.pieces.each_index.map { |piece| last_coats_of(piece) }
      end

      # One draw of b for each product and group, over the b of the plan.
      # @return [Array<Float>]
      def factors(run)
        @beliefs.map { |key, belief, planned| Math.exp(belief.m + belief.s * @draws.normal(key, run)) / planned }
      end

      # Noise from coat to coat.
      def noise(index, phase, run)
        Math.exp(@plan.shop.beliefs.coat_sd * @draws.normal((phase == "early" ? @early_keys : @hard_keys)[index], run))
      end

      # Minutes that the log has settled.
      # @return [Array<Array>] work_end, first_end, hands_end
      def fixed = %i[work_end first_end hands_end].map { |name| @model.logged.column(name).dup }

      private

      def step(placement)
        pass = placement.pass
        scuff = pass.kind == "scuff"
        served = scuff ? index_of(Planning::Scuff.served(pass)) : pass.index
        Step.new(
          index: served, scuff: scuff, piece: @model.piece_of[served],
          person: placement.person && @model.people.index { |person| person.id == placement.person }, room: pass.room,
          dry_room: pass.dry_room, tool: placement.tool && "tool #{placement.tool}",
          single: @plan.shop.rooms.fetch(pass.room).single?, dust: pass.dust, film: pass.film?, setup: pass.setup_min,
          work: pass.work_min, cleanup: pass.cleanup_min, count: pass.count, minutes: pass.minutes || 0,
          settles: pass.piece.house.fetch("dust_settles_min"), not_before: not_before(placement),
          waits: scuff ? sand_waits(served, pass.faces) : waits(served),
          unders: @model.drying.unders[served], scuff_min: @model.times.scuff_min[served],
          dust_safe: scuff ? nil : dust_safe(served, pass.dry_room),
          hand_key: @draws.key("#{pass.key}/hands"), after_day: pass.after_day
        )
      end

      def waits(served)
        @model.drying.waits[served].map { |wait| wait(wait.lower, wait.opening, wait.fixed) }
      end

      def dust_safe(served, room)
        opening = @model.drying.dust_safe[served]
        opening && dusty?(room) ? wait(served, opening, nil) : nil
      end

      # Where nothing raises dust no film has to be waited for.
      def dusty?(room)
        (@dusty ||= @plan.placements
          .select { |placement| placement.pass.dust }
          .map { |placement| placement.pass.room }.uniq).include?(room)
      end

      def index_of(key) = (@index ||= @model.passes.to_h { |pass| [ pass.key, pass.index ] }).fetch(key)

      # Pins hold, and so does what the plan held back on purpose.
      def not_before(placement)
        [
          placement.pass.piece.release || 0, @plan.shop.now,
          *(placement.hands_start if %w[pin goal].include?(placement.because))
        ].max
      end

      def sand_waits(index, faces)
        @model.drying.unders[index]
          .select { |under| under.sand && (under.faces & faces).any? }
          .map do |under|
            wait(
              under.lower, under.sand,
              (@model.logged.placed[under.lower] && @model.drier.reached_at(@model.logged.placed[under.lower], "sand"))
            )
          end
      end

      # What has been seen at the bench holds; what has not is drawn, also for a coat that is on.
      def wait(lower, opening, fixed)
        seen = fixed && (fixed <= @plan.shop.now || @model.logged.placed[lower].looks&.any?)
        earlier = @plan.build.by_index[lower]&.earlier || 0
        crowd = Drying::Milestones.coat_factor(earlier)
        Wait.new(lower, opening.parts.map { |part| part(lower, part, part.crowded ? crowd : 1.0) }, opening.least,
                 (fixed if seen))
      end

      def part(lower, part, crowd)
        pass = @model.passes[lower]
        product = Planning::MilestoneCalculator.dries(pass)
        Part.new(process(product, part, pass), part.needed * crowd, part.phase, belief(product, part.phase))
      end

      def process(product, part, pass)
        line = @plan.shop.line(pass.dry_room)
        @processes[[ product.rate_group(part.phase), product.moisture_cure?, line.object_id ]] ||= Weather::Process.new(
          part.progress, line, ->(climate) { Drying::Rate.factors(product, part.phase, climate).rate }
        )
      end

      def belief(product, phase)
        key = @draws.key("#{product.id}/#{phase}")
        @beliefs.index { |known, _, _| known == key } || begin
          beliefs = @plan.shop.beliefs
          @beliefs << [ key, beliefs.belief_for(product, phase), beliefs.factors(product)&.fetch(phase) || 1.0 ]
          @beliefs.size - 1
        end
      end

      def last_coats_of(piece)
        (@model.first[piece]..@model.last[piece]).filter_map do |index|
          next unless @model.drying.ready[index]

          placed = @model.logged.placed[index]
          wait(index, @model.drying.ready[index],
               placed && @model.drier.reached_at(placed, @model.pieces[piece].ready_at))
        end
      end
    end
  end
end
