# For the back of a board.
class Boards::LabelsController < ApplicationController
  include OfBoard
  include SendsLabel

  def show = send_label(Board::Label.new(board, board_url(board)), "label-#{board.id}")
end
