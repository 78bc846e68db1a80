# Products on the shelf.
class ProductsPageSerializer < ApplicationSerializer
  fields view: "'products'", found: [ :string, NULLABLE ], products: "ProductRow[]"
end
