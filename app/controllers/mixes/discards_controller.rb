# The mix thrown away.
class Mixes::DiscardsController < ApplicationController
  include OfMix

  keeps_sound :create
  takes :create, client_id: :id, happened_at: :name

  def create
    desk.discard!(**touch)
    answer
  end
end
