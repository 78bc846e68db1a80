class LedgerSerializer < ApplicationSerializer
  fields milestone: :string, words: :string, from: :number, reached_at: :number, minutes: :number,
         rows: "Array<[string, number]>", sheet: :string, source: :string, estimate: :boolean,
         bound_by: [ :string, { nullable: true } ], follower: [ :string, { nullable: true } ], t_c: "[number, number]",
         rh: "[number, number]", air: :string, shop: [ :string, { nullable: true } ]
end
