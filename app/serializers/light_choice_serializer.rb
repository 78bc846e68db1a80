# A light to look by.
class LightChoiceSerializer < ApplicationSerializer
  fields id: :string, name: :string, model: :boolean
end
