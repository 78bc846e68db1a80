# The verdict on one thing over another, and the whole square of kinds as they are now.
class OverAnswerSerializer < ApplicationSerializer
  VERDICT = "\"holds\" | \"scuff\" | \"wait\" | \"barrier\" | \"never\" | \"unknown\"".freeze
  fields verdict: VERDICT, why: :string, way: "Array<{ do: string; words: string; min: number | null }>",
         source: :string, estimate: :boolean, lower: :string, upper: :string, lower_kind: [ :string, NULLABLE ],
         upper_kind: :string, square: "Record<string, Record<string, #{VERDICT}>>",
         tried: "Array<{ board_id: number; words: string }>"
end
