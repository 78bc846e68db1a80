# The cells of a board: their layers.
class CellsController < ApplicationController
  include OfBoard

  keeps_sound :update
  takes :update, layers: :list, ruined: :words

  def update
    attributes = body.slice("layers", "ruined")
    attributes["ruined"] = attributes["ruined"].presence if attributes.key?("ruined")
    cell = board.cells.find(params[:id])
    unless cell.update(attributes)
      raise Rhexon::InvalidInput.new(cell.errors.full_messages.first.sub(/\ALayers /, ""), where: "layers")
    end

    answer
  end
end
