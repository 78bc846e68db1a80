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

      # @return [Numeric] minutes a square metre: by hand, or with a floor machine where it is a floor
      def rate(what, step, use)
        by_machine = hands.floor_machine_min_per_m2[what] if use == "floor" && step["machine"]
        by_machine || hands.abrasion_min_per_m2.fetch(what)
      end

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
        taken = by_hand(taken(step, surface.texture_um), placement.pass)
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

      def on_bare(surface, step)
        last = rubbing(step).last or return same(surface)
        same(surface.with(scratch_um: last.mean_um, grain: surface.grain && "settled", sheen_gu: nil, hazy: false))
      end

      def sheen(surface, step)
        rubbing(step).reduce(surface) do |rubbed, abrasive|
          reached = Prep::Sheen.after(abrasive, before_gu: rubbed.sheen_gu, film_gu: rubbed.film_gu)
          rubbed.with(scratch_um: abrasive.mean_um, sheen_gu: reached.gu, hazy: reached.hazy)
        end
      end

      # Stain and filler are sanded once they are dry to sand; a film too, where a coat follows; the last paper waits
      # for the rub-out.
      def abrasion_waits(lower, coated_later) = !lower.film? || coated_later ? [ "sand" ] : [ "rub_out" ]
    end
  end
end
