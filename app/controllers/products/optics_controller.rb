# What a product does to colour, from readings of the shop's own; and back to what its sheet or class says.
class Products::OpticsController < ApplicationController
  keeps_sound :create, :destroy
  takes :create, wood: :name, bare: :any, read: :any, percent: :any, coats: :any, method: :name

  def create
    today = Shop.current.clock.date(Time.current.to_i / 60)
    product.colour_read!(Product::OwnColour.new(product.to_value, body), on: today)
    render json: { location: product_path(product) }
  end

  def destroy
    product.forget_colour!
    render json: { location: product_path(product) }
  end

  private

  def product = @product ||= Product.named(params[:product_id])
end
