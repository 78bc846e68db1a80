# What is handed over with a piece, in plain words: from the log as far as it goes, and from the plan of today for the
# rest.
class Handover
  # @param piece [Piece]
  # @param floor [ShopFloor]
  # @param names [Boolean] whether products are named, or only what kind they are of
  def initialize(piece, floor: ShopFloor.new, names: false)
    @piece = piece
    @floor = floor
    @names = names
  end

  # @return [Hash] HandoverPiece
  def to_h
    { id: @piece.id, name: @piece.name, count: @piece.count, wood: @piece.wood, floor: @piece.use == "floor",
      finished: sheet.finished?, finished_at: sheet.finished_at, layers: layers, dates: dates, care: care,
      touch_ups: touch_ups, look: look, tests: tests }
  end

  # @return [Boolean] whether there is anything on it that could be handed over
  def any? = sheet.layers.any?

  private

  def sheet = @sheet ||= Rhexon::Handover::Sheet.new(plan, @piece.core_id)
  def plan = @plan ||= @piece.in_hand? ? @floor.plan_of(@piece) : @floor.plan_alone(@piece)
  def dates = sheet.dates.map(&:to_h)

  def layers
    sheet.layers.map do |layer|
      { family: layer.family, product: (layer.product if @names), role: layer.role, coats: layer.coats, at: layer.at,
        done: layer.done }
    end
  end

  def care
    kept = sheet.care
    { names: kept.names, clean: kept.clean, never: kept.never, due: kept.due, renew: kept.renew, months: kept.months,
      renew_on: renew_on(kept.months), until_cured: kept.until_cured, food: kept.food }
  end

  # @return [String, nil] the day on which a fresh coat is to be expected
  def renew_on(months)
    return unless months && sheet.finished_at

    (Shop.current.clock.date(sheet.finished_at) >> months).iso8601
  end

  # Jars that were filled off of what lies on it.
  def touch_ups
    codes = @piece.schedule.steps.filter_map { |step| step["product"] }.uniq
    Batch.standing.where(kept: true, product: Product.where(code: codes)).with_left.includes(:product).map do |batch|
      { code: batch.code, name: @names ? batch.name : batch.product.role, lot: batch.lot, g: batch.left_g.round,
        expires_on: batch.expires_on&.iso8601 }
    end
  end

  # The board that shows how it looked: the approved cell, else the one its schedule was made from.
  def look
    approval = Approval.for(@piece)
    yes = approval&.entry
    cell = yes&.cell || @piece.schedule.from_cell or return
    { board: cell.board.name, board_id: cell.board_id, cell: cell.label, cell_id: cell.id,
      approved_by: yes && yes.body["name"], approved_at: yes && yes.happened_at.to_i / 60,
      stale: approval&.stale? || false }
  end

  def tests
    Piece::Measured.new(@piece).to_a + film_tests
  end

  # That the film was tried before it was handed over.
  def film_tests
    Entry.standing(@piece).select { |entry| entry.kind == "dry_test" && entry.body["answer"] == "dry" }
      .group_by { |entry| entry.body["milestone"] }
      .slice(*Rhexon::Drying::Rate::HARD)
      .map do |milestone, entries|
        { what: "Film tried: #{MILESTONES.fetch(milestone, milestone)}", said: "passed",
          at: entries.last.happened_at.to_i / 60 }
      end
  end

  MILESTONES = Rhexon::Schedule::Words::MILESTONES
  private_constant :MILESTONES
end
