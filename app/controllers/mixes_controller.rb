# The mixing desk.
class MixesController < ApplicationController
  include NamesPiece

  keeps_sound :create
  takes :create, **Mix::Start::TAKES

  def index
    begun = Access.of(Mix.open.includes(:room, :product)).order(:id)
    page "Mix/Index", MixesPageSerializer,
         { pots: begun.map { |mix|
           PotSerializer.new(Mix::PotState.new(mix)).to_h
         }, products: mixable, helpers: helpers,
           recipes: Access.of(Recipe).order(:name).map { |recipe| RecipeSerializer.new(recipe).to_h },
           rooms: Room.order(:id).pluck(:name), due: Mix::Due.new.to_a }
  end

  def show
    scale = Devices.scale
    mix = Access.named(Mix, params[:id])
    page "Mix/Show", MixPageSerializer,
         { pot: PotSerializer.new(Mix::PotState.new(mix)).to_h, against: mix.closed_at ? [] : against(mix),
           scale: { name: scale.name, resolution_g: scale.resolution_g, stand_in: !scale.hand.nil? } }
  end

  # For a pass of the plan, or by itself.
  def create
    mix = body["pass"].present? ? Mix::Start.for_pass!(body["pass"]) : Mix::Start.alone!(body)
    Access.use(mix, "This pot is for several people's pieces: whoever runs the bench mixes it.")
    render json: { location: mix_path(mix) }
  end

  private

  def worked_on
    Access.begin_for(piece_of_pass(body["pass"]),
                     "A mix of yours is for a coat on one of your pieces: begin it from the coat.")
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
