# A board with its row of cells, each beginning with the layers of a schedule or bare.
class Board::Layout
  attr_reader :errors

  def initialize(given, made_on:)
    @given = given
    @made_on = made_on
    @errors = {}
  end

  # @return [Board, nil] nil with +errors+ filled
  def save
    board = Board.new(
      @given.slice(:name, :wood, :grain, :timber_lot, :width_mm, :height_mm, :piece_id)
        .compact_blank
        .merge(made_on: @made_on)
    )
    check(board)
    return if @errors.any?

    Board.transaction do
      board.save!
      count.times { |index| board.cells.create!(label: (index + 1).to_s, position: index, layers: layers) }
    end
    board
  end

  private

  def count = @given[:cells].to_i

  def check(board)
    @errors = board.errors.to_hash.transform_values(&:first) unless board.valid?
    @errors[:piece_id] = "That piece is not there any more." if board.piece_id && board.piece.nil?
    return @errors[:cells] = "A board has 1 to 12 cells." unless count.between?(1, 12)
    return if @errors.key?(:width_mm) || @errors.key?(:height_mm)

    Rhexon::Boards::Layout.row(width_mm: board.width_mm, height_mm: board.height_mm, margin_mm: board.margin_mm,
                               tape_mm: board.tape_mm, cells: count)
  rescue Rhexon::InvalidInput => refusal
    @errors[:cells] = refusal.message
  end

  def layers
    Access.named(Piece, @given[:layers_from])&.layers || []
  end
end
