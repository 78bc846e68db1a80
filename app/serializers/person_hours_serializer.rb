# Somebody at the bench, with hours of their own.
class PersonHoursSerializer < ApplicationSerializer
  fields id: :number, name: :string, at_bench: :boolean, skills: [ "string[]", NULLABLE ],
         week: "Record<string, string>", days: "Array<{ date: string; hours: string }>"
end
