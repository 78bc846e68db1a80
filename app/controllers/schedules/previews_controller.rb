# What an edit would make of a schedule: computed, not kept.
class Schedules::PreviewsController < ApplicationController
  include OfPiece

  at_most 600, within: 1.minute
  takes :create, operation: :table, face: :name, base: :whole

  # A question about a revision that is past has no answer any more.
  def create
    return render(json: { sheet: nil }) if body["base"] && body["base"] != schedule.head.number

    render json: { sheet: state.sheet(face, schedule.proposed(operation)) }
  end
end
