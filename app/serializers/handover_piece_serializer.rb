# What is handed over with one piece.
class HandoverPieceSerializer < ApplicationSerializer
  fields id: :number, name: :string, count: :number, wood: :string, floor: :boolean, finished: :boolean,
         finished_at: [ :number, NULLABLE ],
         layers: "Array<{ family: string; product: string | null; role: string; coats: number; at: number; " \
                 "done: boolean }>",
         dates: "Array<{ id: string; says: string; at: number | null }>",
         care: "{ names: string[]; clean: string[]; never: string[]; due: string[]; renew: string[]; " \
               "months: number | null; renew_on: string | null; until_cured: string[]; food: string }",
         touch_ups: "Array<{ code: string; name: string; lot: string | null; g: number; expires_on: string | null }>",
         tests: "Array<{ what: string; said: string; at: number }>"
  typelize look: [ "{ board: string; board_id: number; cell: string; cell_id: number; approved_by: string | null; " \
                   "approved_at: number | null; stale: boolean }", NULLABLE ]
  attribute(:look) { |piece| piece[:look] }
end
