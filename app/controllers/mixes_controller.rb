# The mixing desk.
class MixesController < ApplicationController
  keeps_sound :create
  takes :create, **Mix::Start::TAKES

  def index
    open = Mix.open.includes(:room, :product).order(:id).map { |mix| PotSerializer.new(Mix::PotState.new(mix)).to_h }
    page "Mix/Index", MixesPageSerializer,
         { pots: open, products: mixable, helpers: helpers,
           recipes: Recipe.order(:name).map { |recipe| RecipeSerializer.new(recipe).to_h },
           rooms: Room.order(:id).pluck(:name), due: Mix::Due.new.to_a }
  end

  def show
    scale = Devices.scale
    page "Mix/Show", MixPageSerializer,
         { pot: PotSerializer.new(Mix::PotState.new(Mix.find(params[:id]))).to_h,
           scale: { name: scale.name, resolution_g: scale.resolution_g, stand_in: !scale.hand.nil? } }
  end

  # For a pass of the plan, or by itself.
  def create
    mix = body["pass"].present? ? Mix::Start.for_pass!(body["pass"]) : Mix::Start.alone!(body)
    render json: { location: mix_path(mix) }
  end

  private

  def mixable = Shelf.offered.reject(&:helper?).map { |product| MixableSerializer.new(product).to_h }

  def helpers
    Shelf.offered
      .select { |product| Rhexon::Schedule::Kinds.thinner?(product) }
      .map { |product| { id: product.id, name: product.name } }
  end
end
