# Many readings at once: all are kept, or none.
class Boards::QuickReadingsController < ApplicationController
  include OfBoard

  keeps_sound :create
  takes :create, client_id: :id, readings: :list, observer: :name, light: :name

  def create
    answer(kept: Board::QuickReadings.new(board, body).record!(now: Time.current))
  end
end
