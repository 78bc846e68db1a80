# One way of doing a piece, with what it comes to.
class ProposalSerializer < ApplicationSerializer
  fields id: :string, name: :string, says: :string, ages: :string, ready_at: :number, hands_min: :number,
         coats: :number, sessions: :number, film_um: :number, sheen_gu: [ :number, NULLABLE ], pores: :string,
         cost: [ :number, NULLABLE ], litres: :number, voc_g: [ :number, NULLABLE ], odour: :number, skill: :number,
         repair: :number, bears: "Record<string, number>", lacks: "Record<string, number>",
         renewed_after_months: [ :number, NULLABLE ]
  typelize because: "string | null"
  attribute(:because) { |proposal| params[:wish] && proposal.because(params[:wish]) }
  typelize to_buy: "string[]", look_hex: "string | null", film: "Array<[number, number]>",
           against: "Against[]", steps: "string[]", delta_e: "number | null"
  # From the wanted colour.
  attribute(:delta_e) { |proposal| proposal.delta_e(params[:lab])&.round(1) }
  attribute(:to_buy) { |proposal| proposal.bought.map(&:name) }
  attribute(:look_hex) { |proposal| proposal.look&.hex }
  attribute(:film, &:growth)
  # What is to buy is told by itself.
  attribute(:against) do |proposal|
    proposal.findings.reject { |finding| finding.id == "stock.short" }
      .map { |finding| AgainstSerializer.new(finding).to_h }
  end
  attribute(:steps) do |proposal|
    proposal.document["steps"].map do |step|
      Rhexon::Schedule::Words.step(step, proposal.plan.shop.products[step["product"]]&.name)
    end
  end
end
