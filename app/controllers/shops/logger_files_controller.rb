# What a logger measured in a room.
class Shops::LoggerFilesController < ApplicationController
  include OfShop

  keeps_sound :create
  takes_files :create
  takes :create, file: :file

  def create
    file = body["file"]
    raise Rhexon::InvalidInput.new("No file came", where: "file", accepted: "a logger's CSV") unless file

    report = Room::LoggerFile.read!(Room.find(params[:room_id]), file.read)
    answer(report: { hours: report.hours, refused: report.refused_rows, first_refused: first_refused(report) })
  end

  private

  def first_refused(report)
    row = report.refused.first
    row && "row #{row[:row]}: #{row[:sentence]}"
  end
end
