module Rhexon
  module Handover
    # From when a piece bears what, by the coats as they were laid or are planned and the air they dry in
    # (core/data/care.yml, an estimate; a milestone of a data sheet is met in any case).
    class Dates
      # @!attribute says [String] "To be walked on in socks"
      # @!attribute at   [Integer, nil] minute; nil: not within 400 days in this air
      From = Struct.new(:id, :says, :at, keyword_init: true)

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      def initialize(plan, piece_id)
        @plan = plan
        @piece = plan.piece(piece_id)
      end

      # @return [Array<From>] none is earlier than the one before it, and what it bears in use not before the last work
      #   on it is done; empty where nothing is laid
      def to_a
        return [] if last_coats.empty?

        latest = 0
        rows.map do |row|
          at = at(row)
          latest = at.nil? || latest.nil? ? nil : [ latest, at ].max
          From.new(id: row["id"], says: row["says"], at: latest).freeze
        end
      end

      private

      def rows = Reference.care.dates.fetch(@piece.use == "floor" ? "floor" : "furniture")

      # The last coat on each set of faces.
      def last_coats
        @last_coats ||= @plan.queues.fetch(@piece.id).select(&:last_on_faces)
          .filter_map { |pass| @plan.build.by_index[pass.index] }
          .select { |placed| placed.pass.product && placed.milestones }
      end

      # @return [Integer, nil]
      def at(row)
        times = last_coats.flat_map { |placed| times(placed, row) }
        times << finished_at if row["share"]
        times.include?(nil) ? nil : times.max
      end

      def finished_at = @finished_at ||= @plan.of_piece(@piece.id).map(&:work_end).max

      # A product without such a milestone holds nothing back; what it has and does not reach is never.
      def times(placed, row)
        drier = @plan.drier
        found = []
        found << drier.reached_at(placed, row["milestone"]) if drier.opening(placed.pass, row["milestone"])
        found << drier.cured_at(placed, row["share"]) if row["share"] && drier.opening(placed.pass, "full_cure")
        found.empty? ? [ placed.work_end ] : found
      end
    end
  end
end
