module Rhexon
  module Picture
    # How a pass lies on a floor that was sketched: its sections with this product, in the air it is planned for.
    class FloorCoat
      # @param plan [Planning::Plan]
      # @param placement [Planning::Placement]
      def initialize(plan, placement)
        @plan = plan
        @placement = placement
        @pass = placement.pass
        @sketch = @pass.piece.sketch
      end

      # @return [Areas::Floor, nil] nil where it is no floor, or no edge can be kept wet
      def floor
        return @floor if defined?(@floor)

        @floor = (made if @sketch && @pass.leaves_something? && !@pass.inserted)
      end

      # When air may move over it: still until it is tack-free.
      # @return [Integer, nil] minute; only told of floors
      def air_on_at = @sketch && @placement.milestones && @plan.drier.reached_at(@placement, "touch")

      # @return [String, nil] "in 6 sections, edge at most 2.1 m, the last at the exit"
      def words
        return unless floor

        count = floor.sections.all.size
        "in #{count} #{count == 1 ? "section" : "sections"}, edge at most #{floor.limit_m.round(1)} m, the last at " \
        "the exit"
      end

      private

      def made
        floor = Areas::Floor.new(@sketch, product: @pass.product, wet_um: @pass.wet_um, rate_m2_per_h: rate,
                                          climate: @plan.shop.line(@pass.room).at(@placement.work_start))
        floor if floor.keeps_wet?
      end

      def rate = Work::Hours.laying_rate(@pass.step, Work::Extent.new(@pass.piece, @pass.faces))
    end
  end
end
