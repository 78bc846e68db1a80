# A yes to a look, as it stands.
class ApprovalSerializer < ApplicationSerializer
  fields id: :number, name: :string, light: :string, age_days: [ :number, NULLABLE ], at: :number, stale: :boolean,
         again: :boolean,
         cell: [ "{ id: number; label: string; board: string; board_id: number }", NULLABLE ]
end
