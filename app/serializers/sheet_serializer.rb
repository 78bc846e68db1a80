# All that the schedule screen draws for one piece.
class SheetSerializer < ApplicationSerializer
  fields piece_id: :string, now: :number, zone: :string, people: "string[]",
         tools: "Array<{ id: string; for: string; away?: boolean }>", goal: :string, support: :string,
         document: "ScheduleDocument", due: [ :number, NULLABLE ], ready_at: [ :number, NULLABLE ],
         ready_means: :string, cured_at: [ :number, NULLABLE ], hands_min: :number, elapsed_min: :number,
         open: "Array<[number, number]>", elsewhere: "Array<[number, number]>", lapsed: "string[]", air_room: :string
  typelize unplaced: "Array<{ id: string; number: number; words: string }>"
  attribute(:unplaced, &:unplaced)
  typelize air: "Array<{ from: number; t_c: number; rh: number; air: string }>"
  attribute(:air) { |sheet| sheet.air.map(&:to_h) }
  many :rows, resource: RowSerializer
  one :section, resource: SectionSerializer
  many :findings, resource: FindingSerializer
  # What the shop or the schedule does not want to hear of.
  many :silenced, resource: FindingSerializer
end
