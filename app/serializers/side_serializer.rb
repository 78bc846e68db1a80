# One column of the compare page.
class SideSerializer < ApplicationSerializer
  FIGURES = %i[
    ready_at cured_at coats sessions hands_min elapsed_min scuffs film_um sheen_gu pores pores_filled litres cost voc_g
  ].freeze

  typelize key: :string, label: :string, differs: "string[]", operation: [ "unknown", NULLABLE ],
           ready_at: [ :number, NULLABLE ], cured_at: [ :number, NULLABLE ], coats: :number, sessions: :number,
           hands_min: :number, elapsed_min: :number, scuffs: :number, film_um: :number, sheen_gu: [ :number, NULLABLE ],
           pores: :string, pores_filled: :number, litres: :number, cost: [ :number, NULLABLE ],
           voc_g: [ :number, NULLABLE ],
           findings: "Against[]",
           film: "Array<[number, number]>"
  attributes :key, :differs, :operation
  attribute(:label) { |column| column.side.label }
  FIGURES.each { |name| attribute(name) { |column| column.side.public_send(name) } }
  attribute(:findings) do |column|
    column.side.findings.map { |finding| { level: finding.level, title: finding.title, sentence: finding.sentence } }
  end
  attribute(:film) { |column| column.side.growth }

  # @param alternative [Rhexon::Compare::Alternative] that is held against nothing
  # @return [Hash] Side
  def self.alone(alternative)
    new(Comparison::Column.new(key: alternative.label, side: alternative, differs: [], operation: nil)).to_h
  end
end
