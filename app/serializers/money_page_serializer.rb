# Hours and money of jobs.
class MoneyPageSerializer < ApplicationSerializer
  fields currency: :string, zone: :string,
         jobs: "Array<{ id: number; client: string; closed: boolean; pieces: number; reckoned_min: number; " \
               "done_min: number; real_min: number; price: number; given: number | null; first_piece: number }>",
         phases: "Array<{ name: string; reckoned_min: number; real_min: number; factor: number; known: boolean }>"
  one :waste, resource: WasteSerializer
end
