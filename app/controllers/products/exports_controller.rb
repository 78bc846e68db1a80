# All products in one file.
class Products::ExportsController < ApplicationController
  def show
    products = Product.order(:maker, :name)
    stamp = Shop.current.clock.date(Time.current.to_i / 60).iso8601
    if request.format.json?
      send_data Product::Exchange.to_json(products), filename: "rhexon-products-#{stamp}.json", type: "application/json"
    else
      send_data Product::Exchange.to_csv(products), filename: "rhexon-products-#{stamp}.csv",
type: "text/csv; charset=utf-8"
    end
  end
end
