class PouredSerializer < ApplicationSerializer
  fields id: :number, name: :string, grams: :number, at: :number
end
