module Rhexon
  module Mixing
    # The mixes of a plan: what is mixed when, for which passes, and how long it may be used. One batch serves several
    # coats of a day when they fit inside its usable pot life; a step may ask for several equal batches for one pass.
    class Batches
      # @!attribute mixed_at     [Integer] minute the hardener goes in
      # @!attribute usable_until [Integer, nil] nil: no pot life
      # @!attribute used_until   [Integer] end of the work it serves
      # @!attribute share        [Integer] how many equal batches its pass has
      # @!attribute pours        [#call] ml => PourSheet
      Batch = Struct.new(:id, :product, :mixed_at, :usable_until, :used_until, :passes, :ml, :share, :pours, :room,
                         keyword_init: true) do
        # @return [PourSheet]
        def sheet = (@sheets ||= {})[ml] ||= pours.call(ml)

        def short? = !usable_until.nil? && used_until > usable_until

        # What these hands can lay on before the pot life ends.
        # @return [Float, nil]
        def usable_g = usable_until && sheet.total_g * (usable_until - mixed_at) / (used_until - mixed_at)
      end

      # @param plan [Planning::Plan]
      # @return [Array<Batch>] in the order they are mixed
      def self.for(plan) = new(plan).all

      def initialize(plan)
        @plan = plan
        @batches = []
        @open = {}
        @recipes = {}
      end

      def all
        laid = @plan.placements.select do |placement|
          placement.pass.leaves_something? && placement.status != "done" && placement.pass.product
        end
        laid.sort_by { |placement| [ placement.hands_start, placement.pass.key ] }.each { |placement| serve(placement) }
        @batches.sort_by { |batch| [ batch.mixed_at, batch.id ] }
      end

      private

      def shop = @plan.shop

      def serve(placement)
        pass = placement.pass
        ml = Laying.of_pass(pass).gross_ml
        count = pass.step["batches"] || 1
        return split(placement, ml, count) if count > 1

        unless join(@open[mix_of(placement)], placement, ml)
          begin_batch(placement, ml, placement.hands_start, placement.work_end, 1)
        end
      end

      # Equal batches, each mixed when the one before is used up.
      def split(placement, ml, count)
        each = (placement.work_end - placement.work_start) / count.to_f
        count.times do |index|
          from = index.zero? ? placement.hands_start : (placement.work_start + index * each).floor
          begin_batch(placement, ml / count, from, (placement.work_start + (index + 1) * each).ceil, count)
        end
      end

      def begin_batch(placement, ml, from, used_until, share)
        pours = pours(placement.pass)
        batch = Batch.new(
          id: "b#{@batches.size + 1}", product: placement.pass.product, mixed_at: from,
          usable_until: usable_until(placement.pass, from, ml, pours), used_until: used_until,
          passes: [ placement.pass.key ], ml: ml, share: share, pours: pours, room: placement.pass.room
        )
        @batches << batch
        @open[mix_of(placement)] = batch if share == 1
      end

      # What may come from one pot: the same product and shares, in one room, on one day.
      def mix_of(placement)
        pass = placement.pass
        [
          pass.product.id, pass.room, shop.zone.date(placement.hands_start),
          *pass.step.values_at(*ProductMix::SHARES)
        ]
      end

      # Without a pot life a mix of the same day serves on; with one it must last to the end of the pass.
      # @return [Boolean]
      def join(batch, placement, ml)
        return false if batch.nil? || batch.short?

        pours = pours(placement.pass)
        usable = usable_until(placement.pass, batch.mixed_at, batch.ml + ml, pours)
        return false if usable && [ batch.used_until, placement.work_end ].max > usable

        batch.ml += ml
        batch.pours = pours
        batch.usable_until = usable
        batch.used_until = [ batch.used_until, placement.work_end ].max
        batch.passes << placement.pass.key
        true
      end

      # @return [Proc] ml => PourSheet
      # @raise [InvalidInput] for shares that leave no room for the base
      def pours(pass)
        recipe = recipe(pass)
        ->(ml) { PourSheet.new(recipe, { "total_ml" => ml }, resolution_g: shop.scale_g) }
      end

      def recipe(pass)
        key = [ pass.product.id, *pass.step.values_at(*ProductMix::SHARES) ]
        @recipes[key] ||= ProductMix.recipe(pass.product, shop.products, pass.step)
      end

      # Only what has a pot life asks how much of it there is.
      def usable_until(pass, from, ml, pours)
        return unless pass.product.pot_life_min&.value || pass.product.pot_life_by_hardener

        PotLife.usable_until(
          pass.product, shop.line(pass.room), from, batch_g: pours.call(ml).total_g,
          hardener_parts: ProductMix.hardener_parts(pass.product, pass.step)
        )
      end
    end
  end
end
