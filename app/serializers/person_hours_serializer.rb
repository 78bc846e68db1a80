# Somebody at the bench, with hours of their own.
class PersonHoursSerializer < ApplicationSerializer
  fields id: :number, name: :string, at_bench: :boolean, own_pieces_only: :boolean,
         role: "'owner' | 'finisher' | 'student'",
         signs_in: :boolean, has_code: :boolean, skills: [ "string[]", NULLABLE ],
         week: "Record<string, string>", days: "Array<{ date: string; hours: string }>"
end
