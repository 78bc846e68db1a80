# What an edit would make of a schedule: computed, not kept.
class Schedules::PreviewsController < ApplicationController
  include OfPiece

  takes :create, operation: :table, face: :name, sequence: :whole

  def create
    document = schedule.proposed(operation)
    render json: { sheet: state.sheet(face, document), sequence: body["sequence"] }
  end
end
