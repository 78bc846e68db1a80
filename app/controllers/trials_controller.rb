# Trials: designed, and made into boards.
class TrialsController < ApplicationController
  include NamesPiece

  keeps_sound :create, :update
  takes :create, **TrialDesign::TAKES
  takes :update, weights: :table, board: :whole

  def new
    theirs = Access.of(Piece).ids.to_set
    pieces = ShopFloor.new.scheduled.select { |piece| piece.schedule.steps.any? && theirs.include?(piece.id) }
    first = pieces.find { |piece| piece.id.to_s == query(:piece) } || pieces.first
    page "Trials/New", TrialPageSerializer,
         { pieces: pieces.map { |piece| choice(piece) }, piece: first&.id,
           steps: first ? Trial::Base.new(first).steps : [],
           grains: Piece::GRAINS, products: ShelfItems.all }
  end

  def create
    trial = TrialDesign.new(body, today: today).save!
    render json: { location: board_path(trial.boards.first) }
  end

  # What counts how much when its cells are judged.
  def update
    trial = Access.named(Trial, params[:id])
    trial.weigh!(body["weights"])
    render json: BoardState.new(trial.boards.find(body["board"])).to_h
  end

  private

  def worked_on
    return if action_name == "update"

    Access.begin_for(Piece.find_by(id: body["piece_id"]), "A trial of yours belongs to one of your pieces: choose it.")
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)

  def choice(piece)
    { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client, grain: piece.faces.first&.grain }
  end
end
