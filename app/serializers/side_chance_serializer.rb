# How likely the dates of one column of the compare page are: drawn from many runs, and asked for behind the page.
class SideChanceSerializer < ApplicationSerializer
  typelize key: :string, in_time: [ :number, NULLABLE ], dates: "number[]"
  attribute(:key, &:key)
  attribute(:in_time) { |column| column.side.chance }
  attribute(:dates) do |column|
    [ 0.1, 0.5, 0.9 ].filter_map { |share| column.side.outlook.quantile(column.side.piece_id, share) }
  end
end
