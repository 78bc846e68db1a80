# One product with all its figures.
class ProductsController < ApplicationController
  keeps_sound :create, :update, :destroy
  takes :create, :update, maker: :name, name: :name, role: :name, colour: :name, kind: :name, code: :name,
                          figures: :table

  def show
    if product.unsound
      return render(inertia: "Refused",
                    props: { error: { sentence: "#{product.full_name}: #{product.unsound}", where: "product" } })
    end

    page "Shelf/Product", ProductPageSerializer,
         { product: ProductSerializer.new(product).to_h, batches: batches, used: used, stays: stays?,
           colour: ProductColour.new(product).to_h, made: made,
           **choices }
  end

  # Empty, or a copy of another.
  def new
    from = query(:copy) && Product.find(query(:copy))
    fresh = if from
      from.dup.tap do |copy|
        copy.assign_attributes(name: "#{from.name}, copy", code: Product.free_code("#{from.code}_copy"))
      end
    else
      Product.new(maker: "", name: "", code: "", kind: "waterborne_one_part", role: "top coat", colour: "clear",
                  figures: {})
    end
    page "Shelf/Product", ProductPageSerializer,
         { product: ProductSerializer.new(fresh).to_h, batches: [], used: [], stays: false, colour: nil, made: nil,
           **choices }
  end

  def create
    fresh = Product.new(figures: {})
    keep(fresh)
  end

  def update = keep(product)

  def destroy
    where = product.named_in.to_sentence.presence || "the record: earlier revisions, boards, cans or mixes"
    if stays?
      raise Rhexon::InvalidInput.new(
        "#{product.full_name} stands in #{where}, and stays known", where: "product", accepted: "retiring it"
      )
    end

    product.destroy!
    render json: { location: shelf_path }
  end

  private

  def product = @product ||= Product.named(params[:id])
  def used = Access.whole_shop? ? product.named_in : []
  def stays? = product.in_record? || product.batches.exists? || product.mixes.exists?

  def batches
    product.batches.standing.with_left.order(:id).map do |batch|
      BatchSerializer.new(batch, params: { today: today }).to_h
    end
  end

  # What it comes to where it is made here; nothing where that cannot be reckoned, which its desk says.
  def made
    return if product.to_value.made_of.empty?

    figures = Rhexon::Mixing::OwnBlend.figures(product.to_value, Shelf.products)
    figures.merge(raw: figures[:raw].map { |name, share| { name: name, percent: (share * 100).round(1) } })
  rescue Rhexon::InvalidInput
    nil
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)

  def choices
    table = Rhexon::Materials::ProductFigures.table
    {
      classes: Rhexon::Reference.classes.classes.map { |id, figures| [ id, figures["name"] ] },
      roles: table.roles, colours: table.colours,
      products: Product.order(:maker, :name).map { |other| [ other.code, other.full_name ] }
    }
  end

  # Everything or nothing: figures are read before anything is set.
  def keep(record)
    given = body.slice("maker", "name", "role", "colour", "kind").transform_values { |value| value.to_s.strip }
    record.assign_attributes(
      **given,
      figures: Rhexon::Materials::ProductFigures.read(typed_figures, record.figures)
    )
    record.code = body["code"].presence || Product.free_code(record.name) if record.new_record?
    return render(json: { location: product_path(record) }) if record.save

    render json: {
             error: { sentence: record.errors.map(&:message).join(" "), where: record.errors.first.attribute.to_s }
           },
           status: :unprocessable_entity
  end

  # A figure of several parts comes as rows of cells, every other one as a text.
  def typed_figures
    (body["figures"] || {}).to_h.transform_values do |typed|
      typed.is_a?(Array) ? typed.map { |row| Array(row).map(&:to_s) } : typed.to_s
    end
  end
end
