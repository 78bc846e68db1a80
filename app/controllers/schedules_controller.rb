# The schedule of a piece: shown, edited, undone, and asked "what if".
class SchedulesController < ApplicationController
  before_action :piece
  takes_long :what_ifs, :chance
  rescue_from Schedule::Stale, with: :stale
  takes :what_if, operation: :table, face: :name, sequence: :whole
  takes :edits, operation: :table, base: :whole, reason: :words, face: :name, sequence: :whole
  takes :undo, :redo, face: :name, sequence: :whole

  def show
    return render json: state.to_h(face) if request.format.json?

    aside = state.aside(face)
    return render(inertia: "SetAside", props: SetAsideState.new(aside).to_h) if aside

    render inertia: "Schedule", props: state.to_h(face).merge(around)
  end

  # Computed, not kept.
  def what_if
    document = schedule.proposed(operation)
    render json: { sheet: state.sheet(face, document), sequence: body["sequence"] }
  end

  # What a warmer room, another product or a coat less would make of the date.
  def what_ifs
    render json: {
      what_ifs: Rhexon::Compare::WhatIf.for(state.plan, piece.core_id).map { |answer|
        WhatIfSerializer.new(answer).to_h
      }
    }
  end

  # The look after each step on a face; null where its wood has no colour figures.
  def looks
    render json: { looks: state.looks(face) }
  end

  # When it will likely be ready, drawn from what is known; null once it is.
  def chance
    chance = ShopPlanState.new.chance_of(piece)
    render json: { chance: chance && ChanceSerializer.new(chance).to_h }
  end

  def edits
    refuse_lapsing_pin! if operation["op"] == "pin" && operation["start"]
    kept { schedule.edit!(operation, base: body["base"], reason: body["reason"].to_s.first(200).presence) { in_words } }
  end

  def undo
    kept { schedule.undo! }
  end

  def redo
    kept { schedule.redo! }
  end

  def history
    head = schedule.lineage.map(&:number)
    render json: {
      revisions: schedule.revisions.reorder(number: :desc).limit(100).map { |revision|
        RevisionSerializer.new(revision).to_h.merge(standing: head.include?(revision.number))
      },
      head: schedule.head.number
    }
  end

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
  def schedule = piece.schedule
  def state = @state ||= ScheduleState.new(piece)
  # The face to draw; one that the piece has not is left to the page's first.
  def face = [ body["face"], query(:face) ].compact.find { |name| piece.faces.map(&:name).include?(name) }

  # Kept once it is planned and drawn; the answer is what was drawn.
  def kept(&write)
    floor = SoundChange.keep!(drawn: [ piece ], face: face, &write)
    now = ScheduleState.new(piece.reload, floor: floor)
    aside = now.aside(face)
    render json: aside ? SetAsideState.new(aside).to_h : now.to_h(face).merge(sequence: body["sequence"])
  end

  def operation
    given = body["operation"]
    raise Rhexon::InvalidInput.new("An edit is missing", where: "operation") unless given.is_a?(Hash)

    given
  end

  def in_words = Rhexon::Schedule::Words.edit(operation, schedule.document, Shelf.products.transform_values(&:name))

  # A time that cannot be kept is refused while the hand is still on it.
  def refuse_lapsing_pin!
    return if state.floor.aside_of(piece)

    plan = state.floor.plan_with(piece, schedule.proposed(operation))
    lapsed = plan.build.lapsed.find do |key|
      key.start_with?("#{piece.core_id}/#{operation["id"]}/#{operation["coat"]}/")
    end
    return unless lapsed

    placement = plan.placements.find { |candidate| candidate.pass.key == lapsed }
    raise Rhexon::InvalidInput.new(
      "It cannot start then: the shop is shut, hands are on something else, or the step before is not done",
      where: "steps/#{operation["id"]}/start",
      accepted: "#{plan.shop.zone.words(placement.hands_start)} or another free time in shop hours"
    )
  end

  def stale(error)
    since = error.since.map { |revision| RevisionSerializer.new(revision).to_h }
    render json: {
             error: { sentence: error.message, where: "base" }, since: since, head: schedule.reload.head.number
           },
           status: :conflict
  end

  def around
    ids = state.floor.pieces.map(&:id)
    {
      house: Rhexon::Planning::Shop::HOUSE.merge(Shop.current.house), shelf: ShelfItems.all,
      wants: Rhexon::Schedule::Kinds.wants, rooms: Room.order(:id).map { |room| RoomSerializer.new(room).to_h },
      pieces: ids, names: state.floor.pieces.to_h { |piece| [ piece.core_id, piece.name ] }
    }
  end
end
