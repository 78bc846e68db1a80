class FindingSerializer < ApplicationSerializer
  fields id: :string, level: "'stop' | 'caution' | 'note'", title: :string, sentence: :string,
         step: [ :string, { nullable: true } ], pass: [ :string, { nullable: true } ]
  # Where else it is found.
  typelize also: "Array<{ pass: string | null; sentence: string }>"
  attribute(:also) { |finding| finding.also.to_a.map(&:to_h) }
  # Those that have to be planned are asked for by themselves (Schedules::RemediesController).
  typelize behind: "boolean", untried: "number"
  attribute(:behind, &:behind?)
  many :remedies, resource: RemedySerializer, source: ->(_params) { behind? ? [] : remedies }
  typelize ruled_out: "Array<{ label: string; why_not: string }>"
  attribute(:ruled_out) do |finding|
    finding.behind? ? [] : finding.ruled_out.map { |way| { label: way.label, why_not: way.why_not } }
  end
  attribute(:untried) { |finding| finding.behind? ? 0 : finding.untried }
  # Where the shop or the schedule judges it otherwise than usual.
  typelize ruling: "Ruling | null"
  attribute(:ruling) { |finding| finding.ruling&.to_h }
  # Whether it may be.
  typelize open: "boolean"
  attribute(:open) { |finding| Rhexon::Checks::Judgement.open?(finding.id) }
end
