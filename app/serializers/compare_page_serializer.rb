# Schedules for one piece, side by side.
class ComparePageSerializer < ApplicationSerializer
  fields piece: "{ id: number; name: string; wood: string; core_id: string; revision: number; look_hex: string " \
                "| null }",
         zone: :string, currency: :string, now: :number, sides: "Side[]",
         choices: "Array<{ key: string; label: string }>", refused: "Array<{ key: string; sentence: string }>",
         wanted: "string[]", pieces: "Array<{ id: number; name: string }>"
end
