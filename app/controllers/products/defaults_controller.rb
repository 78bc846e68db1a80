# The figures that a class stands in with, as a product of it without a sheet has them.
class Products::DefaultsController < ApplicationController
  def show
    kind = query(:kind)
    unless Rhexon::Reference.classes.classes.key?(kind)
      raise Rhexon::InvalidInput.new("No class of that name", where: "kind", accepted: "a class of the list")
    end

    render json: { groups: ProductSerializer.new(Product.new(maker: "", name: "", code: "",
                                                             kind: kind)).to_h["groups"] }
  end
end
