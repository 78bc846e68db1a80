# The schedule of a piece as its page shows it.
class SchedulePageSerializer < ApplicationSerializer
  fields sheet: "Sheet", schedule: "Schedule", piece: "Piece", house: "Record<string, string>", shelf: "ShelfItem[]",
         rooms: "Room[]", pieces: "number[]"
  typelize approval: [ "Approval", NULLABLE ]
  one :approval, resource: ApprovalSerializer
end
