module Rhexon
  module Work
    # One face through its schedule, pass by pass, as planned and logged.
    class Walk
      # @!attribute before, after [Surface]
      # @!attribute removed_um [Float] taken off the face by an abrasion
      # @!attribute asked_um   [Float] what its abrasive takes where there is enough
      Snapshot = Struct.new(:placement, :before, :after, :removed_um, :asked_um, keyword_init: true) do
        # @return [Boolean] the film, or what lies in wood and pores, is another
        def film_changed? = !after.film.equal?(before.film)
      end

      # @!attribute course [Array<Snapshot>] one for each pass that changes this face in any way
      # @!attribute snapshots [Array<Snapshot>] those that change its film, its pores or the colour in the wood
      attr_reader :course, :snapshots, :bare

      # @!attribute bare [Surface] before the first step
      # @param placements [Array<Planning::Placement>] of the piece, in working order
      def initialize(placements, piece, face_id, products)
        @bare = Start.of(piece, face_id, products)
        surface = @bare
        @course = placements.filter_map do |placement|
          pass = placement.pass
          next if !(pass.faces.include?(face_id) || pass.caught.include?(face_id)) || pass.range.begin.positive?

          before = surface
          effect = pass.work.effect(surface, placement)
          surface = effect.surface
          unless surface.equal?(before)
            Snapshot.new(placement: placement, before: before, after: surface, asked_um: effect.asked_um,
                         removed_um: [ before.total_um - surface.total_um, 0.0 ].max)
          end
        end
        @snapshots = @course.select(&:film_changed?)
      end

      # @return [Surface] at the end
      def final = @course.last&.after || @bare

      # @return [Surface] as it is now: after what is done
      def standing = @course.reverse.find { |moment| moment.placement.status == "done" }&.after || @bare

      # @return [Snapshot, nil] where the pass changes the film
      def at(pass_key) = @snapshots.find { |snapshot| snapshot.placement.pass.key == pass_key }

      # @return [Snapshot, nil] where it changes anything
      def moment(pass_key) = @course.find { |snapshot| snapshot.placement.pass.key == pass_key }

      # @return [Planning::Pass, nil] the last coat on the face
      def last_coat = @snapshots.reverse.map { |snapshot| snapshot.placement.pass }.find(&:film?)
    end
  end
end
