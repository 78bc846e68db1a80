# A board as its page shows it.
class BoardPageSerializer < ApplicationSerializer
  fields board: "Board", shelf: "ShelfItem[]", offers: "StepOffer[]", pieces: "Choice[]", age_days: :number,
         apart: "Record<string, number>", links: "Array<GuestLink & { cell: number }>"
  typelize trial: [ "BoardTrial", NULLABLE ],
           pairs: [ "BoardPairs", NULLABLE ],
           verdict: [ "BoardVerdict", NULLABLE ],
           approval: [ "Approval", NULLABLE ],
           work: [ "BoardWork", NULLABLE ]
  many :lights, resource: LightChoiceSerializer
  many :measures, resource: MeasureSerializer
  one :trial, resource: BoardTrialSerializer
  one :pairs, resource: BoardPairsSerializer
  many :relooks, resource: RelookSerializer
  one :verdict, resource: BoardVerdictSerializer
  one :approval, resource: ApprovalSerializer
  one :work, resource: BoardWorkSerializer
end
