class AbrasionSerializer < ApplicationSerializer
  fields pass: :string, step: :string, number: :number, from: :number, to: :number, before_um: :number,
         after_um: :number, inserted: :boolean
end
