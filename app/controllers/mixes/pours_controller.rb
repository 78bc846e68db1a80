# A component poured.
class Mixes::PoursController < ApplicationController
  include OfMix

  takes :create, client_id: :id, happened_at: :name, name: :name, g: :number, typed: :typed

  def create
    desk.pour!(body, happened_at: instant(body["happened_at"]))
    answer
  end
end
