# What a piece costs to finish. Money is in the currency of the shop.
class QuotePageSerializer < ApplicationSerializer
  typelize piece: "{ id: number; name: string; count: number; wood: string; client: string; steps: number }",
           terms: "Record<'rate_per_h' | 'waste_percent' | 'margin_percent' | 'tax_percent', number>",
           most: "Record<'rate_per_h' | 'waste_percent' | 'margin_percent' | 'tax_percent', number>",
           phases: "Array<{ phase: string; name: string; min: number; done_min: number; real_min: number }>",
           materials: "Array<{ name: string; g: number; cost: number | null }>",
           worn: "Array<{ name: string; unit: string; need: number; cost: number | null }>",
           unpriced: "string[]", whole: "boolean", closed: "boolean",
           given: "Array<{ id: number; at: number; gross: number; hands_min: number; phases: Record<string, number> }>",
           sums: "Record<'labour' | 'material' | 'waste' | 'worn' | 'margin' | 'net' | 'tax' | 'gross', number>"
  fields currency: :string, zone: :string, ready_at: [ :number, NULLABLE ]
  attributes :terms, :most
  attribute(:piece) do |state|
    piece = state.piece
    { id: piece.id, name: piece.name, count: piece.count, wood: piece.wood, client: piece.job.client,
      steps: piece.schedule.steps.size }
  end
  attribute(:phases) { |state| state.quote.phases.map(&:to_h) }
  attribute(:materials) { |state| state.quote.materials.map(&:to_h) }
  attribute(:worn) { |state| state.quote.worn.map(&:to_h) }
  attribute(:whole) { |state| state.quote.whole? }
  attribute(:closed, &:closed?)
  # As they were given to the client, the last one last.
  attribute(:given) do |state|
    state.piece.given_quotes.map do |one|
      phases = one.figures["phases"].to_h { |phase| phase.values_at("phase", "min") }
      { id: one.id, at: one.created_at.to_i / 60, gross: one.gross, hands_min: one.hands_min, phases: phases }
    end
  end
  attribute(:unpriced) { |state| state.quote.unpriced }
  attribute(:sums, &:sums)
end
