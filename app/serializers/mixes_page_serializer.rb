# The mixing desk before a mix.
class MixesPageSerializer < ApplicationSerializer
  fields pots: "Pot[]", products: "Mixable[]", helpers: "Array<{ id: string; name: string }>", recipes: "Recipe[]",
         rooms: "string[]"
  many :due, resource: MixDueSerializer
end
