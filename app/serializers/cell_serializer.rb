class CellSerializer < ApplicationSerializer
  fields id: :number, label: :string, layers: "Step[]", ruined: [ :string, { nullable: true } ]
  typelize words: "string[]", promoted_to: "Array<{ id: number; name: string }>"
  attribute(:words) { |cell| cell.layers.map { |step| Rhexon::Schedule::Words.step(step, params[:names][step["product"]]) } }
  attribute(:promoted_to) { |cell| cell.schedules.map { |schedule| { id: schedule.piece.id, name: schedule.piece.name } } }
  one :summary, resource: SummarySerializer
  many :readings, resource: ReadingSerializer
end
