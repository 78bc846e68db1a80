# What was decided, and why.
class Boards::VerdictsController < ApplicationController
  include OfBoard

  takes :create, client_id: :id, cell: :whole, reason: :words

  def create
    Board::Verdict.record!(board, body)
    answer
  end
end
