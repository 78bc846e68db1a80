# The page on which a way of doing a piece is found.
class ProposalsPageSerializer < ApplicationSerializer
  fields piece: "{ id: number; name: string; wood: string; count: number; use: string | null; client: string; " \
                "due: number | null; steps: number; begun: boolean; " \
                "target_hex: string | null }",
         zone: :string, currency: :string, now: :number, wish: "Wish", weights: "Record<string, number>",
         asks: "Record<string, number>", measures: "Record<string, string>", assumed: "string[]"
end
