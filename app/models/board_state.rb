# A board as its page shows it.
class BoardState
  def initialize(board)
    @board = board
  end

  def board = BoardSerializer.new(@board, params: { names: names }).to_h

  def to_h
    { board: board, shelf: products.each_value.map { |product| ShelfItemSerializer.new(product).to_h }, pieces: pieces.map { |piece| { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client } } }
  end

  private

  def products = @products ||= Shelf.products
  def names = products.transform_values(&:name)
  def pieces = Piece.where(job: Job.in_hand).includes(:job).order(:id)
end
