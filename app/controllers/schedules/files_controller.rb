# A piece with its schedule as a file, for another shop.
class Schedules::FilesController < ApplicationController
  include OfPiece

  def show
    send_data JSON.pretty_generate(Piece::AsFile.write(piece)), filename: "#{piece.name.parameterize}.json",
                                                                type: "application/json"
  end
end
