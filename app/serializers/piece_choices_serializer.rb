# What a piece may be.
class PieceChoicesSerializer < ApplicationSerializer
  fields jobs: "Array<{ id: number; client: string }>", grains: "string[]", uses: "string[]", arrises: "string[]",
         shapes: "string[]",
         lights: "Array<[string, string]>", coats: "Array<[string, string]>",
         timbers: "Timber[]"
end
