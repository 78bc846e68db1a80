module Rhexon
  module Work
    # What sanding, levelling and rubbing out have in common: dust, pauses, film that comes off.
    class AbrasiveWork < Kind
      def pauses? = true
      def abrades? = true
      def dust?(step) = !step["wet"] && !step["lubricant"]
      def room(_step) = "sand"

      # @param texture_um [Numeric] of the surface under the abrasive
      # @return [Film::Abrasion::Taken]
      def taken(step, texture_um) = Film::Abrasion.of(purpose(step), step, texture_um)

      def setup_min(step)
        changes = [ (step["grits"] || []).size - 1, 0 ].max
        hands.session_min[rubs_over?(step) ? "light" : "usual"] + changes * hands.grit_change_min
      end

      # @return [Boolean] nibs off or a key, which asks for little gear
      def rubs_over?(_step) = false

      # What is rubbed with, in order.
      # @return [Array<Prep::Abrasive>]
      def rubbing(step) = rungs(step)

      # Everyday work by hand, which nobody stops for.
      def light?(step)
        least = Reference.film.removal_um.fetch("denib")
        !step["machine"] && (purpose(step) == "denib" || (step["removes_um"] || Float::INFINITY) <= least)
      end

      def effect(surface, placement)
        step = placement.pass.step
        taken = by_hand(between_wiped(taken(step, surface.texture_um), surface, step), placement.pass)
        return on_bare(surface, step) if surface.layers.empty?

        rubbed = surface.with(film: surface.film.abrade(taken.um, texture_um: taken.texture_um))
        Effect.new(rubbed.bare? ? on_bare(rubbed, step).surface : sheen(rubbed, step), taken.um)
      end

      private

      # @return [String] what it takes film off for, of {Film::Abrasion}
      def purpose(_step) = "scuff"

      # What the schedule says to take off is taken off; where nothing is said, as much as the shop's own hands do.
      def by_hand(taken, pass)
        return taken if pass.rubs.nil? || pass.step["removes_um"]

        taken.dup.tap { |own| own.um *= pass.rubs }
      end

      def between_wiped(taken, surface, step)
        light = %w[scuff denib inserted].include?(purpose(step)) && !step["machine"] && !step["removes_um"]
        return taken unless light && %w[wiped padded oil].include?(surface.top&.way)

        taken.dup.tap { |own| own.um = Film::Abrasion.of_wiped(rubbing(step), own.um) }
      end

      def on_bare(surface, step)
        last = rubbing(step).last or return same(surface)
        same(surface.with(scratch_um: last.mean_um, grain: surface.grain && "settled", sheen_gu: nil, hazy: false))
      end

      def sheen(surface, step)
        rungs = rubbing(step)
        last = Prep::Sheen.rubbed(rungs, before_gu: surface.sheen_gu, film_gu: surface.film_gu,
                                         rubbed_um: surface.rubbed_um).last or return surface
        surface.with(scratch_um: rungs.last.mean_um, rubbed_um: last.rubbed_um, sheen_gu: last.gu, hazy: last.hazy)
      end

      # Stain and filler are sanded once they are dry to sand; a film too, where a coat follows; the last paper waits
      # for the rub-out.
      def abrasion_waits(lower, coated_later) = !lower.film? || coated_later ? [ "sand" ] : [ "rub_out" ]
    end
  end
end
