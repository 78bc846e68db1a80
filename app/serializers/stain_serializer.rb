class StainSerializer < ApplicationSerializer
  fields pass: :string, step: :string, number: :number, label: :string, at: :number
  many :strip, resource: StretchSerializer
end
