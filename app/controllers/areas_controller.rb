# Floors, halls and walls laid on in sections.
class AreasController < ApplicationController
  takes :create, fields: :table

  def show = render(inertia: "Area", props: { choices: Sums::LargeArea.choices, first: Sums::LargeArea::FIRST })

  def create
    render json: Sums::LargeArea.answer(body["fields"].is_a?(Hash) ? body["fields"] : {})
  end
end
