# Colour readings of a board as CGATS text: out, and in from an instrument.
class Boards::ReadingsController < ApplicationController
  include OfBoard

  MOST_BYTES = 1.megabyte

  keeps_sound :create
  takes_files :create
  takes :create, file: :file

  def index
    send_data Board::ReadingsFile.new(board).to_cgats, filename: "#{board.name.parameterize}.txt", type: "text/plain"
  end

  def create
    file = body["file"] or raise Rhexon::InvalidInput.new("Choose a file", where: "file", accepted: "CGATS text")
    if file.size > MOST_BYTES
      raise Rhexon::InvalidInput.new("The file is too large", where: "file", accepted: "at most 1 MB")
    end

    answer(report: Board::ReadingsFile.new(board).read!(file.read, now: Time.current).to_h)
  end
end
