# What the planned work takes, against what there is.
class ShoppingPageSerializer < ApplicationSerializer
  fields view: "'shopping'", found: [ :string, NULLABLE ], lines: "ShoppingLine[]", worn: "Worn[]",
         consumables: "Consumable[]"
  one :waste, resource: WasteSerializer
end
