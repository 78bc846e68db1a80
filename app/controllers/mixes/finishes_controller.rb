# The mix done with: what is left goes into its jar.
class Mixes::FinishesController < ApplicationController
  include OfMix

  keeps_sound :create
  takes :create, client_id: :id, happened_at: :name

  def create
    desk.finish!(**touch)
    answer
  end
end
