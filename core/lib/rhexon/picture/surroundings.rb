module Rhexon
  module Picture
    # What can hurt someone at a pass, from what it lays on, what it rubs into, and what else is sprayed there.
    class Surroundings
      # Filters are not changed sooner than that, unless somebody changes them.
      BOOTH_DAYS = 1

      # @param placement [Planning::Placement]
      # @param moment [Work::Walk::Snapshot, nil] of the face it changes
      def initialize(plan, placement, moment)
        @plan = plan
        @placement = placement
        @pass = placement.pass
        @moment = moment
      end

      # @return [Array<Materials::Cautions::Caution>]
      def cautions
        dust = @pass.abrasion?
        Materials::Cautions.for((@pass.product if @pass.leaves_something?), @pass.method, kind: @pass.kind,
                                way: @pass.step["way"], dust: dust, into: dust ? uncured : [], silica: dust && silica?,
                                old_paint: dust && old_paint?,
                                booth: @pass.method == "spray" ? sprayed : [])
      end

      private

      # Bare wood whose dust holds silica.
      def silica?
        face = @pass.faces.first
        (@moment.nil? || @moment.before.bare?) && @pass.piece.timber(face)&.silica == true
      end

      # What was there before is rubbed, and nobody knows it for a clear finish.
      def old_paint?
        left = (@moment&.before&.layers || []).select(&:left?).select { |layer| layer.pass == Work::Start::PASS }
        left.any? { |layer| layer.opaque || !@plan.shop.products.key?(layer.product_id) }
      end

      # Products of the film that is rubbed, as long as they have not cured.
      def uncured
        left = (@moment&.before&.layers || []).select(&:left?).map(&:pass)
        @plan.of_piece(@pass.piece.id).select { |one| left.include?(one.pass.key) && !cured?(one) }
          .map { |one| one.pass.product }.uniq
      end

      def cured?(laid)
        cured = @plan.drier.reached_at(laid, "full_cure")
        !cured.nil? && cured <= @placement.work_start
      end

      # What is sprayed in the same room on that day or the days beside it.
      def sprayed
        sprays = @plan.once([ :sprayed, @pass.room ]) {
          @plan.placements.select { |one| one.pass.method == "spray" && one.pass.room == @pass.room }
        }
        near = sprays.select { |one| (one.work_start - @placement.work_start).abs <= BOOTH_DAYS * 1440 }
        near.map { |one| one.pass.product }.uniq
      end
    end
  end
end
