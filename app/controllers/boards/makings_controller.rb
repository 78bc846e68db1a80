# The board as work among the other work of the shop.
class Boards::MakingsController < ApplicationController
  include OfBoard

  keeps_sound :create
  takes :create

  def create
    Board::Making.begin!(board)
    render json: { location: bench_path }
  end
end
