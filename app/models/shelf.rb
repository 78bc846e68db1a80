# The products as the core reckons with them.
module Shelf
  module_function

  # @return [Hash{String=>Rhexon::Materials::Product}] by code
  def products = Product.order(:id).to_h { |record| [ record.code, Rhexon::Materials::Product.new(record.to_core) ] }

  # @return [Array(Array<String>, Array<String>)] codes of what only goes into a mix, and of what can be laid on
  def codes
    helpers, laid = Product.pluck(:code, :kind).partition { |_, kind| Rhexon::Materials::Product::HELPERS.include?(kind) }
    [ helpers.map(&:first), laid.map(&:first) ]
  end
end
