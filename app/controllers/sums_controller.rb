# Small sums, and the texts that explain them.
class SumsController < ApplicationController
  takes :create, question: :name, fields: :table

  def show = render(inertia: "Sums/Show", props: { first: query(:sum) })

  def create
    fields = body["fields"].is_a?(Hash) ? body["fields"].transform_values { |value| value.to_s.first(60) } : {}
    render json: Sums::Answer.answer(body["question"].to_s, fields, numbers: Shop.current.ways["grit_numbers"])
  end
end
