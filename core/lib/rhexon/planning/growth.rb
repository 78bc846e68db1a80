module Rhexon
  module Planning
    # The film of a piece over time in few points, on the face with the most: up to its wet height with each coat,
    # down as it dries.
    module Growth
      module_function

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      # @param wet [Boolean] with the wet heights
      # @return [Array<Array(Integer, Float)>] minute and µm
      def for(plan, piece_id, wet: true)
        curve = plan.film(piece_id, plan.thickest_face(piece_id)).snapshots.flat_map do |snapshot|
          points(plan, snapshot.placement, snapshot.before.total_um.round(1), snapshot.after.total_um.round(1), wet)
        end
        forward(curve)
      end

      # A coat that is laid on before the one below has dried ends its fall there.
      def forward(points)
        points.each_index.map do |index|
          [ [ points[index].first, *points.drop(index + 1).map(&:first) ].min, points[index].last ]
        end
      end

      private_class_method :forward

      def points(plan, placement, before, after, wet)
        pass = placement.pass
        return [ [ placement.work_start, before ], [ placement.hands_end, after ] ] unless pass.film? && wet

        dry = [ plan.drier.reached_at(placement, "recoat_opens") || placement.work_end, placement.work_end ].max
        [ [ placement.work_start, before ], [ placement.work_end, (before + pass.wet_um).round(1) ], [ dry, after ] ]
      end
      private_class_method :points
    end
  end
end
