class CellSerializer < ApplicationSerializer
  fields id: :number, label: :string, role: "'run' | 'bare' | 'base'", layers: "Step[]",
         ruined: [ :string, { nullable: true } ]
  typelize words: "string[]", promoted_to: "Array<{ id: number; name: string }>"
  attribute(:words) do |cell|
    cell.layers.map { |step| Rhexon::Schedule::Words.step(step, params[:names][step["product"]]) }
  end
  attribute(:promoted_to) do |cell|
    cell.schedules.map { |schedule| { id: schedule.piece.id, name: schedule.piece.name } }
  end
  typelize predicted: [ "{ lab: [number, number, number]; hexes: Record<string, string>; gloss: number | null }",
                        { nullable: true } ],
           varied: "string[]", varied_words: "string[]"
  attribute(:predicted) do |cell|
    cell.looks.then do |looks|
      looks.last_lab && { lab: looks.last_lab, hexes: looks.last_hexes, gloss: looks.last_gloss }
    end
  end
  typelize photo_hexes: [ "Record<string, string>", { nullable: true } ]
  attribute(:photo_hexes) { |cell| LooksState.new(cell.board.wood, []).read_hexes(cell.summary.photo_lab) }
  typelize read_hexes: [ "Record<string, string>", { nullable: true } ]
  attribute(:read_hexes) do |cell|
    cell.summary.then do |summary|
      LooksState.new(cell.board.wood, []).read_hexes(summary.lab, spectrum: summary.spectrum)
    end
  end
  attribute(:varied) do |cell|
    if cell.run && cell.board.trial
      cell.board.trial.named_factors.zip(cell.run).map { |factor, level| factor["levels"][level] }
    else
      []
    end
  end
  attribute(:varied_words) do |cell|
    if cell.run && cell.board.trial
      cell.board.trial.named_factors.zip(cell.run).map do |factor, level|
        "#{factor["name"]} #{factor["levels"][level]}"
      end
    else
      []
    end
  end
  one :summary, resource: SummarySerializer
  many :photos, resource: PhotoSerializer
  many :readings, resource: ReadingSerializer
end
