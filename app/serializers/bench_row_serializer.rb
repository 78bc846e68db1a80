# A pass as the bench shows it: the row with the piece it belongs to.
class BenchRowSerializer < ApplicationSerializer
  fields key: :string, person: [ :string, NULLABLE ], kind: :string, words: :string, status: :string, room: :string,
         because: :string, hands: "Array<[number, number]>", hands_start: :number, work_start: :number,
         work_end: :number, hands_end: :number, hands_min: :number, window_state: :string,
         window_closes_at: [ :number, NULLABLE ], laid_on_ml: [ :number, NULLABLE ], earliest: :number,
         pattern: [ :string, NULLABLE ], rests: [ :string, NULLABLE ], ticked: "number[]"
  typelize measured: "{ comb_um?: number[]; pot_g?: [number, number] }"
  attribute(:measured) { |row| row.measured }
  # It goes on with a sitting: one touch a coat.
  typelize sits_on: :boolean
  attribute(:sits_on) { |row| !row.placement.pass.sitting.nil? && !row.placement.pass.inserted }
  # The comb, the pot and the gun are for what is laid on as a film.
  typelize laid: :boolean
  attribute(:laid) { |row| row.placement.pass.film? && row.placement.pass.wet_um.to_f.positive? }
  typelize piece: :string, product: [ :string, NULLABLE ], method: [ :string, NULLABLE ], wet_um: [ :number, NULLABLE ],
           count: :number, asks: [ :string, NULLABLE ], grits: "string[]", waits_until: [ :number, NULLABLE ],
           round: [ :number, NULLABLE ],
           reads: [ "{ words: string; unit: string; least: number; most: number; count: number }", NULLABLE ],
           answers: [ "Array<[string, string]>", NULLABLE ]
  typelize drops: [ "{ expected: number | null; used: number[]; trend: string | null }", NULLABLE ]
  attribute(:drops) { |row| row.drops }
  typelize spot_mix: [ "{ ml: number; glass_ml: number; parts: Array<{ name: string; g: number; drops: number }> }",
                       NULLABLE ]
  attribute(:spot_mix) { |row| row.spot_mix }
  typelize cautions: "Array<{ id: string; name: string; text: string }>"
  attribute(:cautions) { |row| row.cautions.map(&:to_h) }
  attribute(:words) { |row| row.label }
  attribute(:piece) { |row| row.placement.pass.piece.id }
  attribute(:product) { |row| row.placement.pass.product&.name }
  attribute(:method) { |row| row.placement.pass.method }
  attribute(:wet_um) { |row| row.placement.pass.wet_um }
  attribute(:count) { |row| row.placement.pass.count }
  attribute(:asks) { |row| row.placement.pass.step["asks"] }
  # Of a look that sends steps round again: how often that was done.
  attribute(:round) { |row| row.placement.pass.coat - 1 if row.placement.pass.step["again"] }
  # Of a measure or a test: what is typed, or what it is answered with.
  attribute(:reads) do |row|
    way = row.placement.pass.step["way"]
    unit, least, most, count = Rhexon::Schedule::Kinds.reads("measure", way) if row.kind == "measure"
    { words: way, unit: unit, least: least, most: most, count: count } if unit
  end
  attribute(:answers) do |row|
    answered = %w[measure test].include?(row.kind)
    Rhexon::Schedule::Kinds.answers(row.kind, row.placement.pass.step["way"])&.to_a if answered
  end
  attribute(:grits) do |row|
    (row.placement.pass.step["grits"] || []).map { |grit| Rhexon::Prep::Abrasive.near(grit).words }
  end
  attribute(:waits_until) { |row| row.waits.first&.reached_at }
end
