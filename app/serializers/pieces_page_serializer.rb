# Jobs in hand and their pieces, and a page of the closed jobs.
class PiecesPageSerializer < ApplicationSerializer
  fields closed: "Array<{ id: number; client: string; pieces: string[]; closed_at: number }>",
         now: :number
  many :jobs, resource: JobOverviewSerializer
  many :removed, resource: RemovedPieceSerializer
  one :page, resource: ListPageSerializer
end
