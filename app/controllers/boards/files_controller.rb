# A board as a file: out with all that was read on it, and in.
class Boards::FilesController < ApplicationController
  include TakesJsonFile

  keeps_sound :create
  takes_files :create
  takes :create, file: :file, look: :name, matches: :words

  def show
    board = Access.named(Board, params[:board_id])
    send_data JSON.pretty_generate(Board::AsFile.write(board)), filename: "board-#{board.name.parameterize}.json",
                                                                type: "application/json"
  end

  def create
    json, digest = json_file("a board as JSON of rhexon-board/1")
    return if told_matches?(json, "rhexon-board-1")

    board = Board::AsFile.take_in!(json, digest, chosen_products)
    render json: { location: board_path(board) }
  end
end
