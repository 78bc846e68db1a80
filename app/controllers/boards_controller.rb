# Sample boards.
class BoardsController < ApplicationController
  keeps_sound :create, :quick, :read_file, :making
  takes :create, name: :name, wood: :name, grain: :name, timber_lot: :name, width_mm: :typed, height_mm: :typed,
                 cells: :typed, piece_id: :typed, layers_from: :typed
  takes :quick, client_id: :id, readings: :list, observer: :name, light: :name
  takes :making
  takes :verdict, client_id: :id, cell: :whole, reason: :words
  takes :read_file, file: :file
  takes :picks, client_id: :id, winner: :whole, loser: :whole, light: :name, observer: :name

  def index
    boards = Board.includes(:piece, cells: %i[readings photos]).order(made_on: :desc, id: :desc)
    render inertia: "Boards/Index",
           props: { boards: boards.map { |board| BoardState.new(board).board }, look_again: look_again(boards) }
  end

  def show
    render inertia: "Boards/Show",
           props: BoardState.new(
             Board.includes(:piece, :trial, cells: [ :readings, :photos, { schedules: :piece } ]).find(params[:id])
           ).to_h
  end

  # On paper, 1:1; as SVG the drawing alone.
  def sheet
    board = Board.find(params[:id])
    respond_to do |format|
      format.any(:pdf, :html) do
        send_data BoardSheet.new(board, board_url(board)).pdf, filename: "#{board.name.parameterize}.pdf",
                                                               type: "application/pdf", disposition: "inline"
      end
      format.svg { render body: BoardDrawing.new(board).svg, content_type: "image/svg+xml" }
    end
  end

  # For the back of the board.
  def label
    label = BoardLabel.new(Board.find(params[:id]), board_url(params[:id]))
    respond_to do |format|
      format.svg { render body: label.svg, content_type: "image/svg+xml" }
      format.pdf do
        send_data label.pdf, filename: "label-#{params[:id]}.pdf", type: "application/pdf", disposition: "inline"
      end
    end
  end

  # Many readings at once: all are kept, or none.
  def quick
    board = Board.find(params[:id])
    kept = QuickReadings.new(board, body).record!(now: Time.current)
    render json: BoardState.new(board.reload).to_h.merge(kept: kept)
  end

  # The board as work among the other work of the shop.
  def making
    BoardMaking.begin!(Board.find(params[:id]))
    render json: { location: bench_path }
  end

  # What was decided, and why.
  def verdict
    board = Board.find(params[:id])
    Verdict.record!(board, body)
    render json: BoardState.new(board).to_h
  end

  # Colour readings as CGATS text.
  def readings
    board = Board.find(params[:id])
    send_data CellReadingsFile.new(board).to_cgats, filename: "#{board.name.parameterize}.txt", type: "text/plain"
  end

  def read_file
    file = body["file"] or raise Rhexon::InvalidInput.new("Choose a file", where: "file", accepted: "CGATS text")
    if file.size > 1.megabyte
      raise Rhexon::InvalidInput.new("The file is too large", where: "file", accepted: "at most 1 MB")
    end

    board = Board.find(params[:id])
    report = CellReadingsFile.new(board).read!(file.read, now: Time.current)
    render json: BoardState.new(board.reload).to_h.merge(report: report.to_h)
  end

  # One blind pick.
  def picks
    board = Board.find(params[:id])
    PairPick.record!(board, client_id: body["client_id"], winner: body["winner"], loser: body["loser"],
                            light: body["light"].presence, observer: body["observer"].presence)
    render json: BoardState.new(board).to_h
  end

  def new
    pieces = Piece.where(job: Job.in_hand).includes(:job, schedule: :head).order(:id)
    render inertia: "Boards/New",
           props: {
             pieces: pieces.map { |piece|
               {
                 id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client,
                 steps: piece.schedule.steps.size
               }
             },
             grains: Piece::GRAINS, today: today.iso8601
           }
  end

  def create
    board = NewBoard.new(body.symbolize_keys, made_on: today)
    if (made = board.save)
      redirect_to board_path(made), status: :see_other
    else
      redirect_to new_board_path, inertia: { errors: board.errors }, status: :see_other
    end
  end

  private

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
