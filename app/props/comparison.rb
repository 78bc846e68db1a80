# A piece's schedule held against others: as it was at an earlier revision, as another piece has it, or by another
# method. Nothing is kept.
class Comparison
  METHODS = { "spray" => "All sprayed", "brush" => "All brushed", "wipe" => "All wiped" }.freeze
  REVISIONS = 8

  # @param piece [Piece]
  # @param wanted [Array<String>] keys of the other sides, such as "method:wipe", "piece:3", "revision:4"
  def initialize(piece, wanted)
    @piece = piece
    @wanted = wanted
  end

  # @return [Hash] ComparePage
  def to_h = ComparePageSerializer.new(page).to_h

  # @return [Array<Hash>] how likely the dates of each column are
  def chances = sides.map { |column| SideChanceSerializer.new(column).to_h }

  # What one column of the page shows.
  Column = Struct.new(:key, :side, :differs, :operation, keyword_init: true)

  private

  def page
    { piece: told,
      zone: Shop.current.zone, currency: Shop.current.currency, now: floor.now.to_i / 60,
      sides: sides.map { |column| SideSerializer.new(column).to_h },
      choices: choices.map { |key, (label, *)| { key: key, label: label } },
      refused: @refused || [], wanted: @wanted & choices.keys,
      pieces: theirs(floor.pieces).map { |piece| { id: piece.id, name: piece.name } } }
  end

  def sides
    @sides ||= begin
      aside = floor.aside_of(@piece) and
        raise Rhexon::InvalidInput.new("#{@piece.name}: #{aside.reason}", where: "pieces/#{@piece.id}")
      [ side("head", "As it stands", floor.plan), *others ]
    end
  end

  def told
    { id: @piece.id, name: @piece.name, wood: @piece.wood, core_id: @piece.core_id,
      revision: @piece.schedule.head.number, look_hex: PieceSerializer.new(@piece).to_h["look_hex"] }
  end

  def floor = @floor ||= ShopFloor.new

  # Of those, whom whoever asks may hold it against.
  def theirs(pieces)
    @theirs ||= Access.of(Piece).ids.to_set
    pieces.select { |piece| @theirs.include?(piece.id) }
  end

  def side(key, label, plan, operation = nil)
    alternative = Rhexon::Compare::Alternative.new(plan, @piece.core_id, label)
    @first ||= alternative
    Column.new(
      key: key, side: alternative,
      differs: alternative.equal?(@first) ? [] : Rhexon::Compare::Differences.for(
        @first, alternative, currency: Shop.current.currency
      ),
      operation: operation
    )
  end

  def others
    (@wanted & choices.keys).filter_map do |key|
      label, document, operation = choices.fetch(key)
      side(key, label, floor.plan_with(@piece, document), operation)
    rescue Rhexon::InvalidInput => refusal
      (@refused ||= []) << { key: key, sentence: "#{label}: #{refusal.message}." }
      nil
    end
  end

  # @return [Hash{String=>Array}] key => label, document, operation that would take it
  def choices = @choices ||= methods.merge(pieces).merge(revisions)

  def methods
    METHODS.filter_map do |method, label|
      operation = Rhexon::Compare::OtherMethod.operation(document, Shelf.products, method, logged_steps) or next
      [ "method:#{method}", [ label, Rhexon::Schedule::Edit.apply(document, operation), operation ] ]
    rescue Rhexon::InvalidInput
      nil
    end.to_h
  end

  # The steps of another piece, where the faces carry the same names or none are named.
  def pieces
    theirs(floor.scheduled).reject { |other| other == @piece || other.schedule.steps.empty? }.to_h do |other|
      steps = other.schedule.steps.map { |step| step.except("pins", "faces", "mask") }
      [
        "piece:#{other.id}",
        [ "As #{other.name}", other.schedule.document.except("house").merge("steps" => steps), nil ]
      ]
    end
  end

  def revisions
    head = @piece.schedule.head
    @piece.schedule
      .revisions
      .reorder(number: :desc).where
      .not(number: head.number)
      .limit(REVISIONS)
      .select { |revision| revision.steps.any? }
      .to_h do |revision|
        [
          "revision:#{revision.number}",
          [ "Revision #{revision.number}, #{revision.reason}".truncate(60), revision.document, nil ]
        ]
      end
  end

  def document = @piece.schedule.document

  def logged_steps
    @piece.entries.where.not(pass_key: nil).distinct.pluck(:pass_key).map { |key| key.split("/")[1] }.uniq
  end
end
