# A room with its air now.
class RoomSerializer < ApplicationSerializer
  fields name: :string
  # What an instrument in it read last, and how long ago.
  typelize read: "{ name: string; at: number; state: 'silent' | 'jump' | 'ok' } | null"
  attribute(:read) do |room|
    last = room.instruments.select(&:last).max_by { |one| one.last.at }
    last && { name: last.name, at: last.last.at.to_i / 60, state: last.state }
  end
  typelize t_c: :number, rh: :number, air: :string, changes: :boolean
  attribute(:t_c) { |room| room.air_at.t_c.round(1) }
  attribute(:rh) { |room| room.air_at.rh.round }
  attribute(:air) { |room| room.air_at.air }
  attribute(:changes) { |room| !room.line.steady? }
end
