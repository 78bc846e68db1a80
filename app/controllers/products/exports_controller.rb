# All products in one file.
class Products::ExportsController < ApplicationController
  def show
    respond_to do |format|
      format.json do
        send_data Product::Exchange.to_json(products), type: "application/json", filename: "#{name}.json"
      end
      format.any do
        send_data Product::Exchange.to_csv(products), type: "text/csv; charset=utf-8", filename: "#{name}.csv"
      end
    end
  end

  private

  def products = Product.order(:maker, :name)
  def name = "rhexon-products-#{Shop.current.clock.date(Time.current.to_i / 60).iso8601}"
end
