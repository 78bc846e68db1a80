class BenchSerializer < ApplicationSerializer
  fields now: :number, zone: :string, people: "string[]", open_today: "Array<[number, number]>", left_today_min: :number
  many :running, resource: BenchRowSerializer
  many :upcoming, resource: BenchRowSerializer
  many :today, resource: BenchRowSerializer
  typelize chosen: [ "BenchRow", NULLABLE ]
  one :chosen, resource: BenchRowSerializer
  many :drying, resource: SlabSerializer
  typelize against: "Record<string, Against[]>"
  attribute(:against) do |bench|
    bench.against.transform_values { |findings| findings.map { |finding| AgainstSerializer.new(finding).to_h } }
  end
end
