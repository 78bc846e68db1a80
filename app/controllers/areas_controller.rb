# Floors, halls and walls laid on in sections.
class AreasController < ApplicationController
  takes :create, fields: :table

  def show
    piece = Piece.find_by(id: query(:piece))
    page "Area", AreaPageSerializer,
         { choices: Sums::LargeArea.choices, first: Sums::LargeArea.first(piece),
           piece: piece && { id: piece.id, name: piece.name } }
  end

  def create
    answer = Sums::LargeArea.answer(body["fields"].is_a?(Hash) ? body["fields"] : {})
    render json: AreaAnswerSerializer.new(answer).to_h
  end
end
