# A piece's schedule as its page shows it: the computed sheet and where it stands among its revisions.
class ScheduleState
  def initialize(piece)
    @piece = piece
  end

  def floor = @floor ||= ShopFloor.new

  # @param face [String, nil] the face to draw
  # @param document [Hash, nil] instead of the head: what if
  def sheet(face = nil, document = nil)
    plan = document ? floor.plan_with(@piece, document) : plan_with_this_piece
    SheetSerializer.new(Rhexon::Picture::Sheet.new(plan, @piece.core_id, face: face)).to_h
  end

  def to_h(face = nil)
    { sheet: sheet(face), schedule: ScheduleSerializer.new(@piece.schedule).to_h, piece: PieceSerializer.new(@piece).to_h, approval: Approval.of(@piece)&.to_h }
  end

  # The look after each step on a face, where its wood has colour figures.
  # @return [Hash, nil]
  def looks(face)
    steps = @piece.schedule.document["steps"].select { |step| step["faces"].nil? || step["faces"].include?(face) }
    LooksState.new(@piece.wood, steps).to_h(read: read(steps))
  end

  private

  # What a board of the same things was read as: to be preferred to what is reckoned.
  def read(steps)
    cell = TriedLooks.new([ @piece ]).read_as(@piece, steps) or return
    lab = cell.summary(nil).lab or return
    { words: "cell #{cell.label} of #{cell.board.name}", board_id: cell.board_id, lab: lab, hexes: LooksState.new(@piece.wood, []).read_hexes(lab) }
  end

  # A piece of a closed job is not on the shop floor; its page says so.
  def plan_with_this_piece
    raise Rhexon::Refusal.new("The job of #{@piece.name} is closed") if @piece.job.closed_at

    floor.plan
  end
end
