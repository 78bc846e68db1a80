# A piece's schedule as its page shows it: the computed sheet and where it stands among its revisions.
class ScheduleState
  # @param floor [ShopFloor, nil] where it is planned already
  def initialize(piece, floor: nil)
    @piece = piece
    @floor = floor
  end

  def floor = @floor ||= ShopFloor.new

  # @param face [String, nil] the face to draw
  # @param document [Hash, nil] instead of the head: what if
  def sheet(face = nil, document = nil)
    if document
      return SheetSerializer.new(
        Rhexon::Picture::Sheet.new(floor.plan_with(@piece, document), @piece.core_id, face: face)
      ).to_h
    end

    plan
    floor.drawing(@piece).sheet(face)
  end

  # What another document would make of the chance to be in time.
  # @return [Piece::Chance, nil] nil where no date is asked for or can be given, and in a large shop
  def chance_with(document)
    plan = floor.plan_with(@piece, document)
    return if plan.model.large? || plan.piece(@piece.core_id).due.nil? || plan.build.ready[@piece.core_id].nil?

    Piece::Chance.new(Rhexon::Chance::Outlook.new(plan), plan, @piece.core_id)
  end

  # What an edit would make of the sheet.
  # @param operation [Hash] of Rhexon::Schedule::Edit
  # @return [Hash, nil] nil where it is refused, and in a large shop, where it would take as long as the edit and hold
  #   up the others
  def foreseen(face, operation)
    return if floor.plan.model.large?

    plan = floor.plan_with(@piece, @piece.schedule.proposed(operation))
    ShopFloor::Drawing.serialized(Rhexon::Picture::Sheet.new(plan, @piece.core_id, face: face))
  rescue Rhexon::InvalidInput
    nil
  end

  # @return [Rhexon::Planning::Plan] with this piece in it
  # @raise [Rhexon::InvalidInput] when its job is closed or it is set aside
  def plan = floor.plan_of(@piece)

  # A plan may stand that cannot be drawn.
  # @param face [String, nil] the face that will be drawn
  # @return [ShopFloor::Aside, nil]
  def aside(face = nil)
    return unless @piece.in_hand?

    floor.draw { floor.aside_of(@piece) || floor.drawing(@piece).sheet(face) }
    floor.aside_of(@piece)
  end

  def to_h(face = nil)
    {
      sheet: sheet(face), schedule: ScheduleSerializer.new(@piece.schedule).to_h,
      piece: PieceSerializer.new(@piece).to_h, approval: Approval.for(@piece)&.to_h
    }
  end

  # The look after each step on a face, where its wood has colour figures.
  # @return [Hash, nil]
  def looks(face)
    steps = @piece.schedule.steps.select { |step| step["faces"].nil? || step["faces"].include?(face) }
    known = plan if @piece.in_hand? && !floor.aside_of(@piece)
    LooksState.of_piece(@piece, steps, face, plan: known).to_h(read: read(steps))
  end

  private

  # What a board of the same things was read as: to be preferred to what is reckoned.
  def read(steps)
    cell = Board::TriedLooks.new([ @piece ]).read_as(@piece, steps) or return
    lab = cell.summary(nil).lab or return
    {
      words: "cell #{cell.label} of #{cell.board.name}", board_id: cell.board_id, lab: lab,
      hexes: LooksState.new(@piece.wood, []).read_hexes(lab)
    }
  end
end
