# The colour of a marked patch of a photo, kept as a reading of its own kind.
class Cells::PhotoColoursController < ApplicationController
  include OfCell

  takes :create, client_id: :id, photo: :whole, patch: :list, grey: :list, white: :any, observer: :name

  def create
    photo = cell.photos.find { |candidate| candidate.id == body["photo"] } or
      raise Rhexon::InvalidInput.new("That is no photo of this cell", where: "photo")
    Reading.record!(cell: cell, client_id: body["client_id"], kind: "photo_lab",
                    value: photo.colour(body["patch"], body["grey"], white: body["white"]),
                    observer: body["observer"].presence, light: photo.light, instrument: "a photo",
                    taken_at: photo.created_at)
    answer
  end
end
