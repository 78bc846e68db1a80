# A product that is not offered any more, while what names it goes on; and one that is offered again.
class Products::RetirementsController < ApplicationController
  keeps_sound :create, :destroy

  def create
    product.retire!
    render json: { location: product_path(product) }
  end

  def destroy
    product.take_up!
    render json: { location: product_path(product) }
  end

  private

  def product = @product ||= Product.named(params[:product_id])
end
