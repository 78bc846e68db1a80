# A room with its air now.
class RoomSerializer < ApplicationSerializer
  fields name: :string
  typelize t_c: :number, rh: :number, air: :string, changes: :boolean
  attribute(:t_c) { |room| room.air_at.t_c.round(1) }
  attribute(:rh) { |room| room.air_at.rh.round }
  attribute(:air) { |room| room.air_at.air }
  attribute(:changes) { |room| !room.line.steady? }
end
