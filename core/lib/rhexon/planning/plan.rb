module Rhexon
  module Planning
    # The answer: every pass on the clock, what it waited for, what the pieces come to.
    class Plan
      attr_reader :shop, :model, :trial, :build, :builds

      # @param shop [Shop]
      # @param model [Search::Model]
      # @param trial [Search::PartialSchedule] the build the plan was unfolded from
      # @param build [Build]
      # @param bound [#call] answers with its Search::Bound, which is reckoned only where it is asked for
      # @param builds [Integer] that were made
      # @param planner [#plan] what plans the same shop with a change
      def initialize(shop:, model:, trial:, build:, bound:, builds:, planner:)
        @shop = shop
        @model = model
        @trial = trial
        @build = build
        @bound = bound
        @builds = builds
        @planner = planner
      end

      # What is reckoned of a plan, however often it is asked for.
      # @param key [Object]
      # @yieldreturn [Object] frozen
      def once(key)
        @reckoned ||= {}
        @reckoned.fetch(key) { @reckoned[key] = yield }
      end

      # Short, since it holds the whole shop.
      def inspect = "#<#{self.class} #{placements.size} passes>"

      # @return [Search::Bound]
      def bound = @bound.call

      def queues = model.queues
      def drier = model.drier

      # @return [Array<Placement>] in order of start
      def placements = build.placements

      # @return [Array<Placement>] of one piece, in working order
      def of_piece(piece_id)
        (@by_piece ||= placements.group_by { |placement| placement.pass.piece.id }).fetch(piece_id, [])
      end

      # @return [Planning::Piece]
      def piece(id) = shop.pieces.find { |piece| piece.id == id }

      # When the last coats of a piece reach a milestone.
      # @return [Integer, nil] nil: no coat has it, or never
      def reached_at(piece_id, milestone)
        last = queues.fetch(piece_id).select(&:last_on_faces).filter_map { |pass| build.by_index[pass.index] }
        times = last.filter_map { |placement| drier.reached_at(placement, milestone) }
        times.size == last.size ? times.max : nil
      end

      def hands_min(piece_id) = of_piece(piece_id).sum { |placement| placement.hands.sum { |from, to| to - from } }

      def elapsed_min(piece_id)
        mine = of_piece(piece_id)
        mine.empty? ? 0 : [ build.ready[piece_id], mine.map(&:hands_end).max ].compact.max - mine.first.hands_start
      end

      # Film of a face as the plan builds it.
      # @return [Work::Walk]
      def film(piece_id, face_id)
        (@films ||= {})[[ piece_id, face_id ]] ||= Work::Walk.new(
          of_piece(piece_id), piece(piece_id), face_id, shop.products
        )
      end

      # The face with the most film, of those that are shown where there are such.
      # @return [String]
      def thickest_face(piece_id)
        faces = piece(piece_id).faces.keys
        faces.max_by do |id|
          [
            piece(piece_id).shown?(id) ? 1 : 0, film(piece_id, id).final.total_um, film(piece_id, id).snapshots.size,
            -faces.index(id)
          ]
        end
      end

      # What is mixed when, and for which passes.
      # @return [Array<Mixing::Batches::Batch>]
      def batches = @batches ||= Mixing::Batches.for(self)

      # @return [Stock::Shopping, nil] nil when the shop gave no stock
      def shopping = shop.stock && (@shopping ||= Stock::Shopping.new(self))

      # @return [Slack]
      def slack = @slack ||= Slack.new(self)

      # The plan of the same shop with another schedule for one piece: at equal effort, or in a large shop with the
      # others kept where they stand, if it fits in between.
      # @return [Plan]
      def with_schedule(piece_id, document)
        changed = shop.with_schedule(piece_id, document)
        (@planner.around(self, changed.record_of(piece_id)) if model.large?) || @planner.plan(changed)
      end
    end
  end
end
