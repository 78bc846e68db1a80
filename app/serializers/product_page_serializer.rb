# A product with every figure it has.
class ProductPageSerializer < ApplicationSerializer
  fields product: "Product", batches: "Batch[]", used: "string[]", stays: :boolean, classes: "Array<[string, string]>",
         roles: "string[]", colours: "string[]", products: "Array<[string, string]>"
end
