# What stands on the shelf: products, batches, and what runs out.
class ShelfController < ApplicationController
  VIEWS = { "products" => ProductsPageSerializer, "batches" => BatchesPageSerializer,
            "shopping" => ShoppingPageSerializer }.freeze

  def show
    view = VIEWS.key?(query(:view)) ? query(:view) : "products"
    return forbid("What is bought is for the finishers of the shop.") if view == "shopping" && !Access.whole_shop?

    page "Shelf/Index", VIEWS.fetch(view), { view: view, found: query(:product), **send(:"#{view}_props") }
  end

  private

  def products_props
    left = Batch.standing.where(kept: false, mix_id: nil).joins(:stock_moves).group(:product_id).sum(:grams)
    {
      products: Product.order(:maker, :name).map { |product|
        ProductRowSerializer.new(product, params: { left: left[product.id] }).to_h
      }
    }
  end

  def batches_props
    batches = Batch.standing
      .with_left
      .preload(:product, :mix, :stock_moves)
      .order(:id)
      .select { |batch| batch.left_g >= 0.5 }
    {
      batches: batches.map { |batch| BatchSerializer.new(batch, params: { today: today }).to_h },
      products: Product.order(:maker, :name).map { |product| { id: product.id, name: product.full_name } },
      today: today.iso8601
    }
  end

  def shopping_props
    lines, worn = ShopFloor.new.draw do |plan|
      shopping = plan.shopping
      [
        (shopping&.lines || []).map { |line| ShoppingLineSerializer.new(line).to_h },
        (shopping&.worn || []).map { |worn| WornSerializer.new(worn).to_h }
      ]
    end
    {
      lines: lines, worn: worn,
      consumables: Consumable.order(:name).map { |consumable| ConsumableSerializer.new(consumable).to_h },
      waste: Shelf::Waste.lately
    }
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)
end
