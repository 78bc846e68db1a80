# Changes of a schedule: kept once it is planned and drawn; the answer is what was drawn.
module KeepsSchedule
  extend ActiveSupport::Concern
  include OfPiece

  included { rescue_from Schedule::Stale, with: :stale }

  private

  # @param operation [Hash, nil] planned and drawn before it is written, so that the write itself is short
  def kept(operation = nil, &write)
    floor = PlanLane.turn do
      plan_ahead(operation) if operation
      SoundChange.keep!(drawn: [ piece ], face: face, &write)
    end
    now = ScheduleState.new(piece, floor: floor)
    aside = now.aside(face)
    return render json: SetAsideState.new(aside).to_h if aside

    render json: JSON.generate(now.to_h(face).merge(sequence: body["sequence"]))
  end

  # What is wrong with it the write itself tells.
  def plan_ahead(operation)
    state.foreseen(face, operation)
  rescue StandardError
    nil
  end

  def stale(error)
    since = error.since.map { |revision| RevisionSerializer.new(revision).to_h }
    render json: {
             error: { sentence: error.message, where: "base" }, since: since, head: schedule.reload.head.number
           },
           status: :conflict
  end
end
