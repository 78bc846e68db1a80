module Rhexon
  module Proposals
    # A place in a schedule, and what the face is like there.
    class Place
      attr_reader :piece, :shop, :steps, :history

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      # @param after [String, nil] id of the step before it; nil: the beginning
      # @param history [LoopHistory]
      def initialize(plan, piece_id, after, history: LoopHistory.new([]))
        @history = history
        @shop = plan.shop
        @piece = plan.piece(piece_id)
        @steps = @piece.schedule["steps"]
        @at = after ? (@steps.index { |step| step["id"] == after } || @steps.size - 1) + 1 : 0
        @face = plan.thickest_face(piece_id)
        @walk = plan.film(piece_id, @face)
      end

      # @return [Array<Hash>] steps before it
      def before = steps.first(@at)

      # @return [Hash, nil] what is laid on next after it
      def following = steps.drop(@at).find { |step| Work::Steps.covers?(step) }

      # @return [Hash, nil] the last work before it
      def last = before.reverse.find { |step| !Work::Steps.idle?(step) }

      # @return [Work::Surface]
      def surface
        @surface ||= begin
          ids = before.map { |step| step["id"] }
          moments = @walk.course.select { |moment| ids.include?(moment.placement.pass.step["id"]) }
          moments.last&.after || @walk.bare
        end
      end

      # @return [Array<String>] as core/data/new_steps.yml names them
      def states
        @states ||= [ ("start" if before.empty?), residue, *(surface.bare? ? bare : covered) ].compact.freeze
      end

      private

      def residue = surface.residue && (surface.residue == "wax" ? "waxed" : "residue")

      AFTER = { "oil" => "oiled", "stain" => "stained", "fill" => "filled", "strip" => "stripped" }.freeze
      private_constant :AFTER

      def bare
        return [ "standing" ] if surface.grain == "standing"
        return [ AFTER.fetch(last["kind"]) ] if last && AFTER.key?(last["kind"])
        return [ "bare" ] unless surface.scratch_um && before.any? { |step| Work::Kind.find(step["kind"]).abrades? }

        [ surface.grain ? "settled" : "sanded", ("sanded_open" if open_pores?),
          ("filled" if before.any? { |step| step["kind"] == "fill" }) ]
      end

      def covered
        return [ "found" ] if surface.layers.all? { |layer| layer.pass == Work::Start::PASS }
        return [ "rubbed" ] if last && %w[rub_out polish].include?(last["kind"])
        return [ "levelled" ] if last && last["kind"] == "level"
        return [ "sealed", ("sealed_open" if open_pores?) ] if last && Work::Kinds::Coat::UNDER.include?(last["role"])

        [ "coated", ("built" if following.nil?) ]
      end

      def open_pores? = %w[open semi_open].include?(piece.wood(@face)) && surface.pores != "closed"
    end
  end
end
