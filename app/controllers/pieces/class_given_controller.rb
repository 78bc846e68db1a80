# A piece that is given to a class: who is where with it, and to whom else it is given.
class Pieces::ClassGivenController < ApplicationController
  include NamesPiece

  keeps_sound :create, of: :piece
  takes :create, names: :list, count: :whole, tools: :flag

  def show = render(inertia: "ClassGiven", props: ClassState.new(piece).to_h)

  def create
    tools = body["tools"] || false
    return forbid("Only the owner lets a class use the tools of the shop.") if tools && Current.role != "owner"

    Piece::ClassGiven.new(piece).give!(body["names"].to_a, count: body["count"], tools: tools)
    render json: ClassState.new(piece).to_h
  end
end
