# A thermo-hygrometer or the weather of a room, and what it said last.
class InstrumentSerializer < ApplicationSerializer
  typelize id: :number, name: :string, kind: :string, state: "'new' | 'silent' | 'jump' | 'ok'",
           at: [ :number, NULLABLE ],
           t_c: [ :number, NULLABLE ], rh: [ :number, NULLABLE ], stand_in: [ :string, NULLABLE ]
  attributes :id, :name, :kind, :stand_in
  attribute(:state, &:state)
  attribute(:at) { |instrument| instrument.last && instrument.last.at.to_i / 60 }
  attribute(:t_c) { |instrument| instrument.last&.t_c&.round(1) }
  attribute(:rh) { |instrument| instrument.last&.rh&.round }
end
