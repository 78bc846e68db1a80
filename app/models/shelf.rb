# The products as the core reckons with them.
module Shelf
  @lock = Mutex.new

  module_function

  # All products of rhexon-shop/1, read again only when one of them has changed.
  # @return [Array<Hash>]
  def to_core
    stamp = [ Product.connection_db_config.database, *Product.pick(Arel.sql("COUNT(*), MAX(updated_at), MAX(id)")) ]
    @lock.synchronize do
      next @core if @stamp == stamp

      @stamp = stamp
      @core = Product.order(:id).map { |product| Rhexon::Reference.freeze_deep(product.to_core) }.freeze
    end
  end

  # Read again the next time, however soon.
  def forget = @lock.synchronize { @stamp = nil }

  # @return [Hash{String=>Rhexon::Materials::Product}] by code
  def products = to_core.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }

  # @return [Array(Array<String>, Array<String>)] codes of what only goes into a mix, and of what can be laid on
  def codes
    helpers, laid = Product.pluck(:code, :kind).partition { |_, kind| Rhexon::Materials::Product::HELPERS.include?(kind) }
    [ helpers.map(&:first), laid.map(&:first) ]
  end
end
