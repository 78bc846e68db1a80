# Where a recipe of the colour desk may go in a schedule.
class ColourWorkSerializer < ApplicationSerializer
  fields steps: "Array<[string, string]>", after: [ :string, NULLABLE ], same: "string[]",
         carriers: "Array<{ id: string; name: string; methods: string[] }>"
end
