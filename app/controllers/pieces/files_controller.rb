# A piece with its schedule taken in from a file.
class Pieces::FilesController < ApplicationController
  include TakesJsonFile

  keeps_sound :create
  takes_files :create
  takes :create, file: :file, look: :name, matches: :words

  def create
    json, = json_file("a piece as JSON of rhexon-piece/1")
    return if told_matches?(json, "rhexon-piece-1")

    taken = Piece::AsFile.take_in!(json, chosen_products)
    render json: { location: piece_schedule_path(taken.piece), told: taken.told }
  end
end
