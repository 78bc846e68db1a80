module Rhexon
  module Mixing
    # The mixes of a plan: what is mixed when, for which passes, and how long it may be used. One batch serves several coats of a day
    # when they fit inside its usable pot life; a step may ask for several equal batches for one pass.
    class Batches
      # @!attribute mixed_at     [Integer] minute the hardener goes in
      # @!attribute usable_until [Integer, nil] nil: no pot life
      # @!attribute used_until   [Integer] end of the work it serves
      # @!attribute short        [Boolean] the work outlasts it
      # @!attribute sheet        [PourSheet]
      Batch = Struct.new(:id, :product, :mixed_at, :usable_until, :used_until, :passes, :ml, :share, :sheet, :room, keyword_init: true) do
        def short? = !usable_until.nil? && used_until > usable_until
      end

      # @param plan [Planning::Plan]
      # @return [Array<Batch>] in the order they are mixed
      def self.of(plan) = new(plan).all

      def initialize(plan)
        @plan = plan
        @batches = []
      end

      def all
        laid = @plan.placements.select { |placement| placement.pass.leaves_something? && placement.status != "done" && placement.pass.product }
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

        open = @batches.reverse.find { |batch| batch.share == 1 && same_mix?(batch, pass) }
        open && joins?(open, placement, ml) ? join(open, placement, ml) : begin_batch(placement, ml, placement.hands_start, placement.work_end, 1)
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
        sheet = sheet(placement.pass, ml)
        @batches << Batch.new(id: "b#{@batches.size + 1}", product: placement.pass.product, mixed_at: from, usable_until: usable_until(placement.pass, from, sheet), used_until: used_until,
                              passes: [ placement.pass.key ], ml: ml, share: share, sheet: sheet, room: placement.pass.room)
      end

      def join(batch, placement, ml)
        batch.ml += ml
        batch.sheet = sheet(placement.pass, batch.ml)
        batch.usable_until = usable_until(placement.pass, batch.mixed_at, batch.sheet)
        batch.used_until = [ batch.used_until, placement.work_end ].max
        batch.passes << placement.pass.key
      end

      # Without a pot life a mix of the same day serves on; with one it must last to the end of the pass.
      def joins?(batch, placement, ml)
        return false unless shop.zone.date(batch.mixed_at) == shop.zone.date(placement.hands_start)

        until_then = usable_until(placement.pass, batch.mixed_at, sheet(placement.pass, batch.ml + ml))
        until_then.nil? || (!batch.short? && placement.work_end <= until_then)
      end

      def same_mix?(batch, pass)
        known = @plan.build.by_index.find { |placement| placement && placement.pass.key == batch.passes.first }.pass
        known.product.equal?(pass.product) && known.room == pass.room && %w[thinning thinner hardener_parts].all? { |field| known.step[field] == pass.step[field] }
      end

      def sheet(pass, ml) = PourSheet.new(ProductMix.recipe(pass.product, shop.products, pass.step), { "total_ml" => ml }, resolution_g: shop.scale_g)

      def usable_until(pass, from, sheet)
        product = pass.product
        usable = PotLife.usable_min(product, t_c: product.pot_life_t_c, batch_g: sheet.total_g, hardener_parts: hardener_in_range(pass)) or return
        PotLife.progress(product, shop.rooms.fetch(pass.room)).reached(from, usable)&.floor
      end

      # A share outside the sheet's ends is a finding of its own; its pot life is that of the nearer end.
      def hardener_in_range(pass)
        ends = pass.product.pot_life_by_hardener
        parts = ProductMix.hardener_parts(pass.product, pass.step)
        ends && parts ? parts.clamp(ends.first.first, ends.last.first) : parts
      end
    end
  end
end
