class ConsumableSerializer < ApplicationSerializer
  fields id: :number, name: :string, unit: :string, pack: :number, price: [ :number, { nullable: true } ],
         left: :number, source: :string
  typelize wear: "{ kinds: string; methods: string; grits: string; per_m2: number | null; per_coat: number | null }"
  attribute(:wear) do |consumable|
    (consumable.wear.first || {}).then do |row|
      {
        kinds: (row["kinds"] || []).join(" "), methods: (row["methods"] || []).join(" "),
        grits: (row["grits"] || []).join(" "), per_m2: row["per_m2"], per_coat: row["per_coat"]
      }
    end
  end
end
