# The shop plan as its page shows it.
class PlanPageSerializer < ApplicationSerializer
  fields plan: "ShopPlan", goal: :string,
         pieces: "Array<{ core_id: string; id: number; name: string; count: number; client: string; " \
                 "worst: 'stop' | 'caution' | null; priority: #{PRIORITY} }>"
  many :moved, resource: MovedSerializer
  one :page, resource: ListPageSerializer
end
