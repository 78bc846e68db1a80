class RemedySerializer < ApplicationSerializer
  fields label: :string, operation: [ "Operation", { nullable: true } ],
         place: [ "{ name: string; product: string | null }", { nullable: true } ]
end
