class FindingSerializer < ApplicationSerializer
  fields id: :string, level: "'stop' | 'caution' | 'note'", title: :string, sentence: :string,
         step: [ :string, { nullable: true } ], pass: [ :string, { nullable: true } ]
  many :remedies, resource: RemedySerializer
end
