module Rhexon
  module Picture
    # All that the schedule screen draws for one piece. Instants are minutes since 1970 in UTC.
    class Sheet
      attr_reader :plan, :piece_id

      # @param face [String, nil] the face to draw; nil: the one with the most film
      def initialize(plan, piece_id, face: nil)
        @plan = plan
        @piece_id = piece_id
        @wanted = face
      end

      def face
        @face ||= piece.faces.key?(@wanted) ? @wanted : plan.thickest_face(piece_id)
      end

      def now = plan.shop.now
      def zone = plan.shop.zone.name
      def people = plan.shop.people.map(&:id)
      # @return [Array<Hash>] guns and other tools: "id", "for"
      def tools = plan.shop.tools
      # How the piece lies unless its schedule says otherwise.
      def support = Planning::Turns.usual(piece)
      def goal = plan.shop.goal
      def document = piece.schedule
      def due = piece.due
      def ready_at = plan.build.ready[piece_id]
      def ready_means = piece.ready_at
      def cured_at = plan.reached_at(piece_id, "full_cure")
      def hands_min = plan.hands_min(piece_id)
      def elapsed_min = plan.elapsed_min(piece_id)

      def rows
        @rows ||= plan.of_piece(piece_id).map do |placement|
          Row.new(plan, placement, numbers[placement.pass.step["id"]])
        end
      end

      def section = @section ||= Section.new(plan, piece_id, face, numbers)
      def findings = @findings ||= Checks::Catalogue.findings(plan, piece_id)

      # What the shop or the schedule does not want to hear of.
      def silenced = @silenced ||= Checks::Catalogue.silenced(plan, piece_id)
      def lapsed = plan.build.lapsed.select { |key| key.start_with?("#{piece_id}/") }

      # Steps of which the plan could place nothing.
      # @return [Array<Hash>] {id:, number:, words:}
      def unplaced
        placed = rows.map { |row| row.placement.pass.step["id"] }
        document["steps"].reject { |step| placed.include?(step["id"]) }.map do |step|
          {
            id: step["id"], number: numbers[step["id"]],
            words: Schedule::Words.step(step, plan.shop.products[step["product"]]&.name)
          }
        end
      end

      # Open hours from the first work of this piece (or now) to a day after its last.
      # @return [Array<Array(Integer, Integer)>]
      def open = plan.shop.open_between(first, last)

      # When the hands are on another piece.
      # @return [Array<Array(Integer, Integer)>]
      def elsewhere
        plan.placements
          .reject { |placement| placement.pass.piece.id == piece_id }
          .flat_map(&:hands)
          .select { |from, to| to > first && from < last }
      end

      # The air of the room most of its coats dry in.
      # @return [String]
      def air_room
        rows.select { |row| row.placement.pass.leaves_something? }
          .map(&:dry_room).tally
          .max_by { |room, count| [ count, room ] }&.first ||
          rows.first&.room || plan.shop.rooms.keys.first
      end

      # @return [Array<AirLine::Air>]
      def air = AirLine.for(plan.shop.line(air_room), first, [ last, cured_at || 0 ].max)

      def first = [ rows.map(&:hands_start).min, now ].compact.min
      def last = [ rows.map(&:hands_end).max, ready_at, now ].compact.max + 60

      private

      def piece = plan.piece(piece_id)
      def numbers = @numbers ||= document["steps"].each_with_index.to_h { |step, index| [ step["id"], index + 1 ] }
    end
  end
end
