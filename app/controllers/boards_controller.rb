# Sample boards.
class BoardsController < ApplicationController
  keeps_sound :create
  takes :create, name: :name, wood: :name, grain: :name, timber_lot: :name, width_mm: :typed, height_mm: :typed,
                 cells: :typed, piece_id: :typed, layers_from: :typed

  def index
    boards = Board.includes(:piece, cells: %i[readings photos]).order(made_on: :desc, id: :desc)
    page "Boards/Index", BoardsPageSerializer,
         { boards: boards.map { |board| BoardState.new(board).board }, look_again: look_again(boards) }
  end

  def show
    render inertia: "Boards/Show",
           props: BoardState.new(
             Board.includes(:piece, :trial, cells: [ :readings, :photos, { schedules: :piece } ]).find(params[:id])
           ).to_h
  end

  def new
    pieces = Piece.where(job: Job.in_hand).includes(:job, schedule: :head).order(:id)
    page "Boards/New", BoardChoicesSerializer,
         { pieces: pieces.map { |piece| choice(piece) }, grains: Piece::GRAINS, today: today.iso8601 }
  end

  def create
    board = Board::Layout.new(body.symbolize_keys, made_on: today)
    if (made = board.save)
      redirect_to board_path(made), status: :see_other
    else
      redirect_to new_board_path, inertia: { errors: board.errors }, status: :see_other
    end
  end

  private

  def choice(piece)
    { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client, steps: piece.schedule.steps.size }
  end

  # Boards that wait to be looked at again, the longest first.
  def look_again(boards)
    due = boards.filter_map do |board|
      (look = board.relooks(today).reverse.find { |relook| relook.state == "due" }) &&
        { id: board.id, name: board.name, days: look.days, on: look.on.iso8601 }
    end
    due.sort_by { |row| row[:on] }
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)
end
