# Products as step forms offer them, the usual ones first; retired ones last, for steps that name them.
module ShelfItems
  # @return [Array<Hash>]
  def self.all
    products = Shelf.products.values
    usual = Rhexon::Schedule::Kinds.laying.flat_map { |kind| Rhexon::Schedule::Kinds.sorted(kind, products) }
    (usual | products).map { |product| ShelfItemSerializer.new(product).to_h }
  end
end
