# Sample boards.
class BoardsController < ApplicationController
  include NamesPiece

  keeps_sound :create
  takes :create, name: :name, wood: :name, grain: :name, timber_lot: :name, width_mm: :typed, height_mm: :typed,
                 cells: :typed, piece_id: :typed, layers_from: :typed

  # Rows of four.
  TO_A_PAGE = 24
  LOOKS_TOLD = 6

  def index
    words = query(:words).to_s.strip
    list = ListPage.new(Access.of(Board).found(words).order(made_on: :desc, id: :desc), query(:page), size: TO_A_PAGE)
    due = look_again
    page "Boards/Index", BoardsPageSerializer,
         { boards: list.records.includes(:piece, :trial, cells: :readings), page: list, words: words,
           look_again: due.first(LOOKS_TOLD), look_again_more: [ due.size - LOOKS_TOLD, 0 ].max }
  end

  def show
    render inertia: "Boards/Show",
           props: BoardState.new(
             Access.named(Board.includes(:piece, :trial, cells: [ :readings, :photos, { schedules: :piece } ]),
                          params[:id])
           ).to_h
  end

  def new
    pieces = Access.of(Piece.in_hand).includes(:job, schedule: :head).order(:id)
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

  def worked_on
    Access.use(Piece.find_by(id: body["layers_from"].to_s))
    Access.begin_for(Piece.find_by(id: body["piece_id"].to_s),
                     "A board of yours belongs to one of your pieces: choose it.")
  end

  def choice(piece)
    { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client, steps: piece.schedule.steps.size }
  end

  # Boards that wait to be looked at again, the longest first; of one that missed several looks the last.
  def look_again
    due = Access.of(Board).looks_again(today).select { |again| again.look.state == "due" }
    due.group_by(&:id).each_value.map(&:last).sort_by { |again| again.look.on }
      .map { |again| { id: again.id, name: again.name, days: again.look.days, on: again.look.on.iso8601 } }
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)
end
