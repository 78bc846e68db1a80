# A piece that cannot be computed: why, and the ways back.
class SetAsidePageSerializer < ApplicationSerializer
  fields aside: "{ id: number; name: string; client: string; reason: string }", schedule: "Schedule", zone: :string,
         latest: "Array<{ id: number; kind: string; at: number; pass: string }>"
end
