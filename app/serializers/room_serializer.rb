# A room with its air now.
class RoomSerializer < ApplicationSerializer
  fields name: :string
  # What an instrument in it read last, and how long ago.
  typelize read: "{ name: string; at: number; state: 'silent' | 'jump' | 'ok' } | null"
  attribute(:read) do |room|
    last = room.instruments.filter_map { |one| (read = one.last) && [ one, read ] }.max_by { |_, read| read.at }
    last && { name: last[0].name, at: last[1].at.to_i / 60, state: last[0].state(read: last[1]) }
  end
  typelize t_c: :number, rh: :number, air: :string, changes: :boolean
  attribute(:t_c) { |room| air(room).t_c.round(1) }
  attribute(:rh) { |room| air(room).rh.round }
  attribute(:air) { |room| air(room).air }
  attribute(:changes) { |room| !line(room).steady? }

  private

  # As plans have it; of a room that was just written its own.
  def line(room) = params[:lines]&.fetch(room.name, nil) || room.line
  def air(room) = line(room).at(Time.current.to_i / 60)
end
