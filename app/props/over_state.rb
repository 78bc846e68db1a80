# What goes over what, as its page asks: things of the shelf, kinds, or an old finish that nobody knows.
class OverState
  OLD = "old".freeze

  # @return [Hash] what may be chosen: kinds, and the products of the shelf that are laid on
  def self.choices
    { kinds: Rhexon::Materials::Over.kinds.map { |kind| { id: kind.class_id, name: kind.name } },
      products: laid_on.map { |product| { id: product.id, name: product.name, kind: product.class_id } } }
  end

  def self.laid_on
    Shelf.products.values.reject { |product| product.helper? || product.retired? }.sort_by(&:name)
  end
  private_class_method :laid_on

  # @param asked [Hash] "lower" and "upper": a product's id, a kind's or "old"; "state", "sanded", "residue"
  def initialize(asked)
    @asked = asked
  end

  # @return [Hash] OverAnswer
  # @raise [Rhexon::InvalidInput]
  def to_h = OverAnswerSerializer.new(answered).to_h

  private

  def answered
    lower = thing("lower") unless @asked["lower"] == OLD
    upper = thing("upper")
    answer = Rhexon::Materials::Over.new(lower, upper, **now).answer
    { **answer.to_h, way: answer.way.map(&:to_h), lower: lower&.name || "an old finish", upper: upper.name,
      lower_kind: lower&.class_id, upper_kind: upper.class_id, square: Rhexon::Materials::Over.square(**now),
      tried: lower ? tried(lower, upper) : [] }
  end

  def now
    { state: @asked["state"] || "open", sanded: @asked["sanded"] == true, residue: @asked["residue"] || "none" }
  end

  def thing(field)
    Shelf.products[@asked[field]] || Rhexon::Materials::Over.kinds.find { |kind| kind.class_id == @asked[field] } ||
      raise(Rhexon::InvalidInput.new("There is no such thing on the shelf", where: field,
                                                                            accepted: "a product, or a kind of them"))
  end

  # Cells that were read and on which the one lies straight over the other.
  def tried(lower, upper)
    cells = Board::TriedLooks.known.by_cell.select { |_, record| lies_over?(record["layers"], lower, upper) }.keys
    Access.of(Cell.where(id: cells)).includes(:board).order(:id).last(4).map do |cell|
      made = cell.board.made_on.strftime("%-d %b %Y")
      { board_id: cell.board_id, words: "cell #{cell.label} of #{cell.board.name}, #{made}" }
    end
  end

  def lies_over?(layers, lower, upper)
    laid = layers.filter_map { |layer| Shelf.products[layer["product"]] if layer["product"] }
    laid.each_cons(2).any? { |below, above| same?(lower, below) && same?(upper, above) }
  end

  def same?(asked, laid) = asked.id == laid.id || asked.id == "class:#{laid.class_id}"
end
