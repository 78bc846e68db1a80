# Floors, halls and walls laid on in sections.
class AreasController < ApplicationController
  takes :create, fields: :table

  def show = render(inertia: "Area", props: { choices: LargeArea.choices, first: LargeArea::FIRST })

  def create
    render json: LargeArea.answer(body["fields"].is_a?(Hash) ? body["fields"] : {})
  end
end
