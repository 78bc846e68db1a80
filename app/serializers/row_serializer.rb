class RowSerializer < ApplicationSerializer
  fields key: :string, step: :string, number: :number, coat: :number, kind: :string, phase: :string,
         words: :string, inserted: :boolean, sits: [ :boolean, NULLABLE ],
         status: "'done' | 'running' | 'planned'", because: :string, pinned: :boolean, room: :string, dry_room: :string,
         person: [ :string, NULLABLE ], tool: [ :string, NULLABLE ], caught: "string[]", faces: "string[]",
         hands: "Array<[number, number]>", hands_start: :number, work_start: :number, work_end: :number,
         hands_end: :number, hands_min: :number, setup_min: :number, earliest: :number, latest: :number,
         window_state: :string, window_opens_at: [ :number, NULLABLE ], window_closes_at: [ :number, NULLABLE ],
         film_um: [ :number, NULLABLE ], change_um: [ :number, NULLABLE ], laid_on_ml: [ :number, NULLABLE ],
         pattern: [ :string, NULLABLE ], sheen_gu: [ :number, NULLABLE ], leaves: "string[]",
         pores: [ "[number, number]", NULLABLE ]
  # Factors of the shop's own figures on what is taken otherwise.
  typelize own: "{ hands?: number; lands?: number; rubs?: number }"
  attribute(:own) { |row| row.own }
  typelize cautions: "string[]"
  attribute(:cautions) { |row| row.cautions.map(&:text) }
  attribute(:words) { |row| row.label }
  typelize round: [ "{ minutes: number; more: number; until: number; ready_at: number | null }", NULLABLE ]
  attribute(:round) { |row| row.round&.to_h }
  many :rungs, resource: RungSerializer
  many :waits, resource: LedgerSerializer
  one :mix, resource: RowMixSerializer
  typelize mix: [ "RowMix", NULLABLE ]
  one :drying, resource: LedgerSerializer
  typelize drying: [ "Ledger", NULLABLE ]
  one :floor, resource: FloorSerializer
  typelize floor: [ "Floor", NULLABLE ], air_on_at: [ :number, NULLABLE ]
  typelize spot_mix: [ "{ ml: number; glass_ml: number; parts: Array<{ name: string; g: number; " \
                       "drops: number }> }", NULLABLE ]
  attribute(:spot_mix) { |row| row.spot_mix }
  attribute(:air_on_at) { |row| row.air_on_at }
end
