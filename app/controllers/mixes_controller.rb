# The mixing desk.
class MixesController < ApplicationController
  include NamesPiece

  keeps_sound :create
  takes :create, **Mix::Start::TAKES

  def index
    open = begun.map { |mix| PotSerializer.new(Mix::PotState.new(mix)).to_h }
    page "Mix/Index", MixesPageSerializer,
         { pots: open, products: mixable, helpers: helpers,
           recipes: Recipe.order(:name).map { |recipe| RecipeSerializer.new(recipe).to_h },
           rooms: Room.order(:id).pluck(:name), due: Mix::Due.new.to_a }
  end

  def show
    scale = Devices.scale
    mix = Mix.find(params[:id])
    page "Mix/Show", MixPageSerializer,
         { pot: PotSerializer.new(Mix::PotState.new(mix)).to_h, against: mix.closed_at ? [] : against(mix),
           scale: { name: scale.name, resolution_g: scale.resolution_g, stand_in: !scale.hand.nil? } }
  end

  # For a pass of the plan, or by itself.
  def create
    mix = body["pass"].present? ? Mix::Start.for_pass!(body["pass"]) : Mix::Start.alone!(body)
    render json: { location: mix_path(mix) }
  end

  private

  def worked_on = piece_of_pass(body["pass"])

  def begun
    open = Mix.open.includes(:room, :product).order(:id).to_a
    return open unless Current.person.student?

    theirs = Access.pieces.map(&:core_id)
    open.select { |mix| mix.pass_keys.any? && mix.pass_keys.all? { |key| theirs.include?(key.split("/").first) } }
  end

  # What the checks say of the passes it is for, so far as it concerns the pot.
  def against(mix)
    plan = ShopFloor.new.plan
    passes = plan.placements.map(&:pass).select { |pass| mix.pass_keys.include?(pass.key) }
    told = passes.flat_map { |pass| Rhexon::Checks::Catalogue.against(plan, pass) }
    told.select { |finding| OF_THE_POT.match?(finding.id) }.uniq(&:sentence)
      .map { |finding| AgainstSerializer.new(finding).to_h }
  end

  OF_THE_POT = /\A(mix|stock|climate)\.|\Atime\.pot_life\z/
  private_constant :OF_THE_POT

  def mixable = Shelf.offered.reject(&:helper?).map { |product| MixableSerializer.new(product).to_h }

  def helpers
    Shelf.offered
      .select { |product| Rhexon::Schedule::Kinds.thinner?(product) }
      .map { |product| { id: product.id, name: product.name } }
  end
end
