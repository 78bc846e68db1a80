# The schedule on paper.
class Schedules::SheetsController < ApplicationController
  include OfPiece

  def show
    floor = ShopFloor.new
    sheet = Rhexon::Picture::Sheet.new(floor.plan_of(piece), piece.core_id)
    paper = Schedule::Paper.new(sheet, piece, paper: query(:paper), url: piece_schedule_url(piece))
    send_data paper.pdf, filename: "schedule-#{piece.name.parameterize}.pdf", type: "application/pdf",
                         disposition: "inline"
  end
end
