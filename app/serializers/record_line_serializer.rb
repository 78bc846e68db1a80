# An entry of the log in words; of work that is done also what was reckoned for it.
class RecordLineSerializer < ApplicationSerializer
  typelize id: :number, at: :number, kind: :string, piece: "{ id: number; name: string } | null", subject: :string,
           words: :string, person: [ :string, NULLABLE ], taken_back: [ :number, NULLABLE ], photos: :number,
           planned_at: [ :number, NULLABLE ],
           done: "{ hands_min: number | null; reckoned_min: number; film_um: number | null; t_c: number; rh: number; " \
                 "g: number | null; from: number } | null"
  attribute(:id) { |line| line.entry.id }
  attribute(:at) { |line| line.entry.happened_at.to_i / 60 }
  attribute(:kind) { |line| line.entry.kind }
  attribute(:piece) { |line| (piece = line.entry.piece) && { id: piece.id, name: piece.name } }
  attribute(:subject) { |line| line.told.subject }
  attribute(:words) { |line| line.told.words }
  attribute(:person, &:person)
  # When it was taken back.
  attribute(:taken_back) { |line| (other = line.entry.correction) && other.happened_at.to_i / 60 }
  attribute(:photos) { |line| line.entry.photos.size }
  attribute(:planned_at, &:planned_at)
  attribute(:done) do |line|
    one = line.done
    one && { hands_min: one.hands_min&.round, reckoned_min: one.reckoned_min.round, film_um: one.film_um,
             t_c: one.air.t_c.round(1), rh: one.air.rh.round, g: one.g, from: one.from }
  end
end
