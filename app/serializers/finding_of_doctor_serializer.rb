# One thing that was looked at; good is null where it is only told.
class FindingOfDoctorSerializer < ApplicationSerializer
  fields of: :string, good: [ :boolean, NULLABLE ], sentence: :string
end
