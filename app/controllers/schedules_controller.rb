# The schedule of a piece as its page shows it.
class SchedulesController < ApplicationController
  include OfPiece

  def show
    return render json: JSON.generate(state.to_h(face)) if request.format.json?

    aside = state.aside(face)
    return render(inertia: "SetAside", props: SetAsideState.new(aside).to_h) if aside

    page "Schedule", SchedulePageSerializer, state.to_h(face).merge(around)
  end

  private

  def around
    ids = state.floor.pieces.map(&:id)
    {
      house: Shop.current.ways, shelf: ShelfItems.all,
      rooms: Room.order(:id).map { |room| RoomSerializer.new(room).to_h },
      pieces: Access.of(Piece.where(id: ids)).order(:id).ids
    }
  end
end
