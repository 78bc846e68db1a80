# A change of a schedule, as a new revision.
class Schedules::EditsController < ApplicationController
  include KeepsSchedule

  takes :create, operation: :table, base: :whole, reason: :words, face: :name, sequence: :whole

  def create
    refuse_lapsing_pin! if operation["op"] == "pin" && operation["start"]
    reason = body["reason"].to_s.first(200).presence
    kept(operation) { schedule.edit!(operation, base: body["base"], reason: reason) { in_words } }
  end

  private

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
      accepted: "#{plan.shop.zone.label(placement.hands_start)} or another free time in shop hours"
    )
  end
end
