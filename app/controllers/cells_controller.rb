# The cells of a board: layers, readings, promotion to a schedule.
class CellsController < ApplicationController
  keeps_sound :update, :readings, :measure
  keeps_sound :promotion, of: :piece
  takes :update, layers: :list, ruined: :words
  takes :readings, client_id: :id, kind: :name, value: :any, observer: :name, light: :name, taken_at: :name
  takes :measure, client_id: :id, measure: :name, observer: :name, light: :name
  takes :photo_colour, client_id: :id, photo: :whole, patch: :list, grey: :list, white: :any, observer: :name
  takes :approve, client_id: :id, name: :name, light: :name
  takes :promotion, :promotion_preview, piece_id: :whole, methods: :table

  def update
    attributes = body.slice("layers", "ruined")
    attributes["ruined"] = attributes["ruined"].presence if attributes.key?("ruined")
    unless cell.update(attributes)
      raise Rhexon::InvalidInput.new(cell.errors.full_messages.first.sub(/\ALayers /, ""), where: "layers")
    end

    answer
  end

  def readings
    Reading.record!(cell: cell, client_id: body["client_id"], kind: body["kind"], value: body["value"],
                    observer: body["observer"].presence, light: body["light"].presence,
                    taken_at: instant(body["taken_at"]))
    answer
  end

  # Read with an instrument.
  def measure
    MeasuredCell.new(cell, body["measure"]).record!(client_id: body["client_id"], observer: body["observer"].presence,
                                                    light: body["light"].presence, now: Time.current)
    answer
  end

  # The colour of a marked patch of a photo, kept as a reading of its own kind.
  def photo_colour
    photo = cell.photos.find { |candidate| candidate.id == body["photo"] } or
      raise Rhexon::InvalidInput.new("That is no photo of this cell", where: "photo")
    Reading.record!(cell: cell, client_id: body["client_id"], kind: "photo_lab",
                    value: photo.colour(body["patch"], body["grey"], white: body["white"]),
                    observer: body["observer"].presence, light: photo.light, instrument: "a photo",
                    taken_at: photo.created_at)
    answer
  end

  # A sheet on which a client approves the look of this cell.
  def approval
    send_data ApprovalSheet.new(cell, board_url(board)).pdf,
              filename: "approval-#{board.name.parameterize}-#{cell.label}.pdf", type: "application/pdf",
              disposition: "inline"
  end

  def approve
    Rhexon.refuse_unless(board.piece, "The board is for no piece, so there is nothing to approve it for",
                         where: "piece", accepted: "a board of a piece")
    Approval.record!(board.piece, body, cell: cell)
    answer
  end

  # What promoting would change, or why it cannot be, before it is done.
  def promotion_preview
    result = promoted
    FrozenPasses.new(piece, piece.schedule.document).check!(result.document)
    render json: { differences: result.differences, cautions: result.cautions, steps: result.document["steps"].size,
                   sheet: ScheduleState.new(piece).sheet(nil, result.document).slice("ready_at", "hands_min", "zone"),
                   replaces: piece.schedule.steps.size }
  end

  def promotion
    piece.schedule.promote!(promoted, cell)
    render json: { location: piece_schedule_path(piece) }
  end

  private

  def board = @board ||= Board.find(params[:board_id])
  def cell = @cell ||= board.cells.find(params[:cell_id] || params[:id])

  def piece
    Rhexon.refuse_unless(body["piece_id"].is_a?(Integer), "Choose a piece", where: "piece_id")
    @piece ||= Piece.find(body["piece_id"])
  end

  def promoted = cell.promotion(piece, body["methods"] || {}, today: Shop.current.clock.date(Time.current.to_i / 60))
  def answer = render(json: BoardState.new(board.reload).to_h)
end
