# One blind pick.
class Boards::PicksController < ApplicationController
  include OfBoard

  takes :create, client_id: :id, winner: :whole, loser: :whole, light: :name, observer: :name

  def create
    PairPick.record!(board, client_id: body["client_id"], winner: body["winner"], loser: body["loser"],
                            light: body["light"].presence, observer: body["observer"].presence)
    answer
  end
end
