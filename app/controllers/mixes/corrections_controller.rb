# A pour taken back.
class Mixes::CorrectionsController < ApplicationController
  include OfMix

  takes :create, client_id: :id, happened_at: :name, entry: :whole

  def create
    desk.take_back!(body["entry"], **touch)
    answer
  end
end
