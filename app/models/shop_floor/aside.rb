# A piece that cannot be computed as it is, and why.
ShopFloor::Aside = Struct.new(:piece, :reason, keyword_init: true) do
  # @return [Hash] as pages tell it
  def to_h = { id: piece.id, core_id: piece.core_id, name: piece.name, client: piece.job.client, reason: reason }
end
