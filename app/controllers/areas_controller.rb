# Floors, halls and walls laid on in sections.
class AreasController < ApplicationController
  takes :create, fields: :table

  def show
    page "Area", AreaPageSerializer, { choices: Sums::LargeArea.choices, first: Sums::LargeArea::FIRST }
  end

  def create
    answer = Sums::LargeArea.answer(body["fields"].is_a?(Hash) ? body["fields"] : {})
    render json: AreaAnswerSerializer.new(answer).to_h
  end
end
