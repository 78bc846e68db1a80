# A way on after a pour that went over.
class Mixes::WaysController < ApplicationController
  include OfMix

  keeps_sound :create
  takes :create, client_id: :id, happened_at: :name, kind: :name

  def create
    on = desk.way_on!(body["kind"], **touch)
    on.id == mix.id ? answer : render(json: { location: mix_path(on) })
  end
end
