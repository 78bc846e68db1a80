# A piece that is given to a class: who is where with it, and to whom else it is given.
class Pieces::ClassGivenController < ApplicationController
  keeps_sound :create, of: :piece
  takes :create, names: :list, count: :whole

  def show = render(inertia: "ClassGiven", props: ClassState.new(piece).to_h)

  def create
    Piece::ClassGiven.new(piece).give!(body["names"].to_a, count: body["count"])
    render json: ClassState.new(piece).to_h
  end

  private

  def piece = @piece ||= Piece.includes(:faces, :job, schedule: :head).find(params[:piece_id])
end
