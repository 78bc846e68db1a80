# A job with its pieces, each with how far it is and when it will be ready.
class JobOverviewSerializer < ApplicationSerializer
  fields id: :number, client: :string, place: [ :string, NULLABLE ], due: [ :number, NULLABLE ],
         due_on: [ :string, NULLABLE ], air_there: [ :string, NULLABLE ], priority: PRIORITY,
         pieces: "Array<Piece & { steps: number; passes: number; done: number; ready_at: number | null; " \
                 "levels: Record<string, number> | null; aside: string | null }>"
end
