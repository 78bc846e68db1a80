# A version of a recipe: what it was made on, its steps, and what may be varied.
class BookRecipeSerializer < ApplicationSerializer
  typelize id: :number, name: :string, says: [ :string, NULLABLE ], number: :number,
           versions: "Array<{ number: number; reason: string; at: number }>",
           wood: [ :string, NULLABLE ], use: [ :string, NULLABLE ], film_um: [ :number, NULLABLE ],
           faces: "string[]", steps: "string[]",
           parameters: "BookParameter[]",
           used_by: "Array<{ id: number; name: string; number: number }>"
  attribute(:id, &:template_id)
  attribute(:name) { |version| version.template.name }
  attribute(:versions) do |version|
    version.template.versions.map do |one|
      { number: one.number, reason: one.reason, at: one.created_at.to_i / 60 }
    end
  end
  attribute(:number, &:number)
  %i[says wood use film_um].each { |field| attribute(field) { |version| version.document[field.to_s] } }
  attribute(:faces) { |version| version.document["faces"].map { |face| face["id"] } }
  attribute(:steps) do |version|
    recipe = version.read
    recipe.steps.map do |step|
      words = Rhexon::Schedule::Words.step(step, step["product"] && recipe.product(step["product"])["name"])
      step["coats"].to_i > 1 ? "#{words}, #{step["coats"]} coats" : words
    end
  end
  attribute(:parameters) do |version|
    recipe = version.read
    params = { offered: recipe.parameters.map(&:key), steps: recipe.steps.map { |step| step["id"] } }
    recipe.variable.map { |one| BookParameterSerializer.new(one, params: params).to_h }
  end
  attribute(:used_by) do |version|
    version.template.versions.flat_map do |one|
      one.schedules.map { |schedule| { id: schedule.piece_id, name: schedule.piece.name, number: one.number } }
    end
  end
end
