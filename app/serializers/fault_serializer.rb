class FaultSerializer < ApplicationSerializer
  fields id: :string, name: :string, looks: :string, causes: "string[]", by: "string[] | null"
end
