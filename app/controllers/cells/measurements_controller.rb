# A reading that an instrument takes.
class Cells::MeasurementsController < ApplicationController
  include OfCell

  keeps_sound :create
  takes :create, client_id: :id, measure: :name, observer: :name, light: :name

  def create
    Cell::Measurement.new(cell, body["measure"])
      .record!(client_id: body["client_id"], observer: body["observer"].presence, light: body["light"].presence,
               now: Time.current)
    answer
  end
end
