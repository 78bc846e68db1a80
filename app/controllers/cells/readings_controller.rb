# A reading that was typed.
class Cells::ReadingsController < ApplicationController
  include OfCell

  keeps_sound :create
  takes :create, client_id: :id, kind: :name, value: :any, observer: :name, light: :name, taken_at: :name

  def create
    Reading.record!(cell: cell, client_id: body["client_id"], kind: body["kind"], value: body["value"],
                    observer: body["observer"].presence, light: body["light"].presence,
                    taken_at: instant(body["taken_at"]))
    answer
  end
end
