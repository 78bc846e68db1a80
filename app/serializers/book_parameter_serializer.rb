# What may be varied of a recipe.
class BookParameterSerializer < ApplicationSerializer
  typelize key: :string, name: :string, label: :string, step: :number, value: "number | string",
           unit: [ :string, NULLABLE ], offered: :boolean, least: [ :number, NULLABLE ], most: [ :number, NULLABLE ],
           by: [ :number, NULLABLE ], choices: "string[]"
  attributes :key, :name, :label, :value, :unit
  # Its number in the list.
  attribute(:step) { |one| params[:steps].index(one.step) + 1 }
  attribute(:by, &:step_by)
  attribute(:offered) { |one| params[:offered].include?(one.key) }
  attribute(:least) { |one| one.accepts.begin if one.accepts.is_a?(Range) }
  attribute(:most) { |one| one.accepts.end if one.accepts.is_a?(Range) }
  attribute(:choices) { |one| one.accepts.is_a?(Array) ? one.accepts : [] }
end
