# A pour taken back.
class Mixes::CorrectionsController < ApplicationController
  include OfMix

  takes :create, client_id: :id, happened_at: :name, entry: :whole, touch: :id

  def create
    desk.take_back!(entry: body["entry"], by: body["touch"], **touch)
    answer
  end
end
