# The products as the core reckons with them.
module Shelf
  @lock = Mutex.new

  module_function

  # All products of rhexon-shop/1 by their sheets, read again only when one of them has changed.
  # @return [Array<Hash>]
  def as_on_sheets
    stamp = Stamp.current.of("products")
    @lock.synchronize do
      next @sheets if @stamp == stamp

      @stamp = stamp
      @sheets = Product.order(:id)
        .filter_map { |product| Rhexon::Reference.freeze_deep(product.to_core) if product.unsound.nil? }.freeze
    end
  end

  # The same with what the shop's boards have taught.
  # @return [Array<Hash>]
  def to_core = Current.shelf ||= taught(as_on_sheets, Board::Lessons.current)

  def taught(sheets, lessons)
    @lock.synchronize do
      next @core if @core && @of == [ sheets, lessons ].map(&:object_id)

      @of = [ sheets, lessons ].map(&:object_id)
      @core = sheets.map { |record| Rhexon::Reference.freeze_deep(lessons.apply(record)) }.freeze
    end
  end

  private_class_method :taught

  # Read again the next time, however soon.
  def forget
    Current.forget_shelf
    @lock.synchronize { @stamp = @of = nil }
  end

  # @return [Array<Rhexon::Materials::Product>] that forms offer: those that are not retired
  def offered = products.values.reject(&:retired?)

  # @param kept [Array<Hash>] steps as an older version wrote them
  # @return [Array<Hash>] as they would be written today; as they are where they are no steps
  def stepped_up(kept)
    kept.is_a?(Array) && kept.all?(Hash) ? Rhexon::Schedule::StepUp.steps(kept, fillers) : kept
  end

  # By their sheets alone: what boards have taught is read from cells, whose steps ask for this. Every cell of a list
  # does, so that it is looked up once for a shelf.
  # @return [Array<String>] codes of what fills pores
  def fillers
    sheets = as_on_sheets
    return @fillers if @fillers_of.equal?(sheets)

    @fillers = sheets.filter_map { |record| record["id"] if Rhexon::Materials::Product.new(record).filler? }.freeze
    @fillers_of = sheets
    @fillers
  end

  # @return [Rhexon::Schedule::AsTyped] reads the fields of an edit as this shop types them
  def as_typed = Rhexon::Schedule::AsTyped.new(numbers: Shop.current.ways["grit_numbers"], products: products)

  # @return [Hash{String=>Rhexon::Materials::Product}] by code
  def products
    Current.products ||= Rhexon::Mixing::OwnBlend.settled(
      to_core.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
    ).freeze
  end
end
