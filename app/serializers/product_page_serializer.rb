# A product with every figure it has.
class ProductPageSerializer < ApplicationSerializer
  fields product: "Product", batches: "Batch[]", used: "string[]", stays: :boolean, classes: "Array<[string, string]>",
         colour: [ "{ way: 'stain' | 'film'; known: boolean; own: boolean; source: string | null; coats: string[]; " \
                   "woods: string[]; fields: Array<{ wood: string; bare: string; made: string; lightness: number }> }",
                   NULLABLE ],
         made: [ "{ density_g_per_ml: number; solids_volume_percent: number | null; " \
                 "raw: Array<{ name: string; percent: number }> }", NULLABLE ],
         roles: "string[]", colours: "string[]", products: "Array<[string, string]>"
end
