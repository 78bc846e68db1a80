# The products as the core reckons with them.
module Shelf
  module_function

  # @return [Hash{String=>Rhexon::Materials::Product}] by code
  def products = Product.order(:id).to_h { |record| [ record.code, Rhexon::Materials::Product.new(record.to_core) ] }
end
