# A new step as it is offered at a place of the schedule.
class StepOfferSerializer < ApplicationSerializer
  fields id: :string, phase: :string, name: :string, says: :string, words: :string, step: [ "Step", NULLABLE ],
         wants: [ :string, NULLABLE ], likely: :boolean
end
