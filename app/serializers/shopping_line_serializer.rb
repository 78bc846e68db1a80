# What the planned work takes of a product, what there is, and what to buy.
class ShoppingLineSerializer < ApplicationSerializer
  typelize product: "{ code: string; name: string }",
           packs: "Array<{ words: string; count: number; price: number | null }>"
  fields need_g: :number, left_g: :number, stale_g: :number, short_g: :number, needed_at: :number,
         cost: [ :number, NULLABLE ]
  attribute(:product) { |line| { code: line.product.id, name: line.product.name } }
  attribute(:packs) { |line| line.packs.map { |pack| { words: pack.words, count: pack.count, price: pack.price } } }
end
