# What may be asked of what goes over what.
class OverPageSerializer < ApplicationSerializer
  fields kinds: "Array<{ id: string; name: string }>", products: "Array<{ id: string; name: string; kind: string }>",
         lower: [ :string, NULLABLE ], upper: [ :string, NULLABLE ]
end
