# The mixing desk.
class MixesController < ApplicationController
  keeps_sound :create, :way, :finish, :discard
  takes :create, :preview, pass: :words, product: :name, recipe_id: :whole, components: :list, name: :name,
                           want: :table, thinning: :table, thinner: :name, hardener_parts: :number, room: :name,
                           container: :typed
  takes :pours, client_id: :id, happened_at: :name, name: :name, g: :number, typed: :typed
  takes :take_back, client_id: :id, happened_at: :name, entry: :whole
  takes :way, client_id: :id, happened_at: :name, kind: :name
  takes :finish, :discard, client_id: :id, happened_at: :name

  def index
    open = Mix.open.includes(:room, :product).order(:id).map { |mix| PotSerializer.new(PotState.new(mix)).to_h }
    render inertia: "Mix/Index",
           props: {
             pots: open, products: mixable, helpers: helpers,
             recipes: Recipe.order(:name).map { |recipe| RecipeSerializer.new(recipe).to_h },
             rooms: Room.order(:id).pluck(:name), due: DueMixes.new.to_a
           }
  end

  def show
    render inertia: "Mix/Show",
           props: {
             pot: pot,
             scale: Devices.scale.then { |scale|
               { name: scale.name, resolution_g: scale.resolution_g, stand_in: !scale.hand.nil? }
             }
           }
  end

  # For a pass of the plan, or by itself.
  def create
    mix = body["pass"].present? ? MixStart.for_pass!(body["pass"]) : MixStart.alone!(body)
    render json: { location: mix_path(mix) }
  end

  def preview
    sheet = MixStart.preview(body)
    render json: Rhexon::Mixing::Request.sheet(sheet).merge("thinner_ml" => both_conventions(sheet))
  end

  def pours
    MixDesk.new(mix).pour!(body, happened_at: instant(body["happened_at"]))
    answer
  end

  def take_back
    MixDesk.new(mix).take_back!(body["entry"], client_id: body["client_id"], happened_at: instant(body["happened_at"]))
    answer
  end

  def way
    on = MixDesk.new(mix).way_on!(body["kind"], client_id: body["client_id"], happened_at: instant(body["happened_at"]))
    on.id == mix.id ? answer : render(json: { location: mix_path(on) })
  end

  def finish
    MixDesk.new(mix).finish!(client_id: body["client_id"], happened_at: instant(body["happened_at"]))
    answer
  end

  def discard
    MixDesk.new(mix).discard!(client_id: body["client_id"], happened_at: instant(body["happened_at"]))
    answer
  end

  private

  # The same per cent of the base and of the total, side by side.
  def both_conventions(sheet)
    percent = body.dig("thinning", "percent")
    percent &&
      %w[base total].select { |of| of == "base" || percent < 100 }.to_h do |of|
        [ of, Rhexon::Mixing::Thinning.thinner_ml(sheet.millilitres.first, percent, of: of).round ]
      end
  end

  def mix = @mix ||= Mix.find(params[:mix_id] || params[:id])
  def pot = PotSerializer.new(PotState.new(mix)).to_h
  def answer = render(json: { pot: PotSerializer.new(PotState.new(mix.reload)).to_h })
  def mixable = Shelf.offered.reject(&:helper?).map { |product| MixableSerializer.new(product).to_h }

  def helpers
    Shelf.offered
      .select { |product| Rhexon::Schedule::Kinds.thinner?(product) }
      .map { |product| { id: product.id, name: product.name } }
  end
end
