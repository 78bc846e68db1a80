class RecipeSerializer < ApplicationSerializer
  fields id: :number, name: :string, notes: [ :string, { nullable: true } ]
  typelize words: :string
  attribute(:words) do |recipe|
    recipe.components.map { |component| "#{format("%g", component["parts"])} #{component["name"]}" }.join(" : ")
  end
end
