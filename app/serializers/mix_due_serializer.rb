# What the plan mixes next.
class MixDueSerializer < ApplicationSerializer
  fields pass: :string, name: :string, at: :number, ml: :number, g: :number, usable_until: [ :number, NULLABLE ],
         coats: :number, serves: :string, components: "string[]"
end
