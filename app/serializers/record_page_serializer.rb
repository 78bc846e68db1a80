# The record: what is looked for, a line for each piece, and days with what happened on them, the last first.
class RecordPageSerializer < ApplicationSerializer
  fields query: "Record<string, string>", strands: "RecordStrand[]", count: :number, page: :number, last: :number,
         days: "Array<{ date: string; hands_min: number; reckoned_min: number; lines: RecordLine[] }>",
         choices: "{ pieces: Array<[string, string]>; products: Array<[string, string]>; people: string[]; " \
                  "faults: Array<[string, string]>; batches: Array<[string, string]> }",
         zone: :string, now: :number
end
