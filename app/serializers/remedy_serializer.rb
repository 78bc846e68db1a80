class RemedySerializer < ApplicationSerializer
  fields label: :string, operation: "Operation"
end
