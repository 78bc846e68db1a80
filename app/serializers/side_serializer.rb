# One column of the compare page.
class SideSerializer < ApplicationSerializer
  FIGURES = %i[
    ready_at cured_at coats sessions hands_min elapsed_min scuffs film_um sheen_gu pores pores_filled litres cost voc_g
    chance
  ].freeze

  typelize key: :string, label: :string, differs: "string[]", operation: [ "unknown", NULLABLE ],
           ready_at: [ :number, NULLABLE ], cured_at: [ :number, NULLABLE ], coats: :number, sessions: :number,
           hands_min: :number, elapsed_min: :number, scuffs: :number, film_um: :number, sheen_gu: [ :number, NULLABLE ],
           pores: :string, pores_filled: :number, litres: :number, cost: [ :number, NULLABLE ],
           voc_g: [ :number, NULLABLE ], chance: [ :number, NULLABLE ],
           findings: "Array<{ level: string; title: string; sentence: string }>", dates: "number[]",
           film: "Array<[number, number]>"
  attributes :key, :differs, :operation
  attribute(:label) { |column| column.side.label }
  FIGURES.each { |name| attribute(name) { |column| column.side.public_send(name) } }
  attribute(:findings) do |column|
    column.side.findings.map { |finding| { level: finding.level, title: finding.title, sentence: finding.sentence } }
  end
  attribute(:dates) do |column|
    [ 0.1, 0.5, 0.9 ].filter_map { |share| column.side.outlook.quantile(column.side.piece_id, share) }
  end
  attribute(:film) { |column| column.side.growth }
end
