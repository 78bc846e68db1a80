# The colour desk: a recipe for a target, or for cancelling a cast.
class ColoursController < ApplicationController
  takes_long :create
  takes :create, wood: :name, wood_lab: :any, target: :any, way: :name, under: :number,
                 colourants: :list, batch_g: :any

  def show
    work = ColourWork.sought(Access.use(Piece.find_by(id: query(:piece))), query(:step))
    render inertia: "Colour", props: ColourDesk::Choices.start(work: work)
  end

  def create
    render json: ColourDesk.new(body).answer
  end
end
