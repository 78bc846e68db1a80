# What the plan mixes next.
class Mix::Due
  COUNT = 4

  # @return [Array<Hash>] props of the mixing desk
  def to_a
    return [] unless Person.at_bench.exists? && Room.exists?

    taken = Mix.open.flat_map(&:pass_keys) +
      Batch.standing.where.not(mix_id: nil).preload(:mix).flat_map { |batch| batch.mix.pass_keys }
    ShopFloor.new.draw do |plan|
      next_ones = plan.batches.select { |batch| (batch.passes & taken).empty? && theirs?(batch) }
      next_ones.first(COUNT).map { |batch| due(plan, batch) }
    end
  end

  private

  # Of a class each sees their own.
  def theirs?(batch)
    @theirs ||= Access.of(Piece).map(&:core_id).to_set
    batch.passes.all? { |key| @theirs.include?(key.split("/").first) }
  end

  def due(plan, batch)
    rows = batch.passes.map { |key| plan.placements.find { |placement| placement.pass.key == key }.pass }
    pieces = Piece.where(id: rows.map { |pass| pass.piece.id.delete_prefix("p") })
      .to_h { |piece| [ piece.core_id, piece.name ] }
    { pass: batch.passes.first, name: batch.product.name, at: batch.mixed_at, ml: batch.ml.round,
      g: batch.sheet.total_g.round, usable_until: batch.usable_until, coats: rows.size,
      serves: rows.map { |pass|
        pieces.fetch(pass.piece.id)
      }.uniq.join(", "), components: batch.sheet.recipe.components.map(&:name) }
  end
end
