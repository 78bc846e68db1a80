# What is proposed, and what fell out.
class ProposalsAnswerSerializer < ApplicationSerializer
  fields proposals: "Proposal[]", fallen: "Array<{ name: string; reason: string }>", late: :boolean,
         remarks: "string[]", standing: "Side | null",
         target_hex: "string | null"
end
