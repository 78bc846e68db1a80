# What belongs to one cell of a board.
module OfCell
  extend ActiveSupport::Concern
  include OfBoard

  private

  def cell = @cell ||= board.cells.find(params[:cell_id])
end
