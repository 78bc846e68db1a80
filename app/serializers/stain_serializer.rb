class StainSerializer < ApplicationSerializer
  fields pass: :string, step: :string, number: :number, label: :string, at: :number, in_wood: :boolean
  many :strip, resource: StretchSerializer
end
