# What was done beside what was reckoned, for lines of the record: from the plan of the piece, in hand or not.
class Record::Beside
  def initialize(floor: ShopFloor.new)
    @floor = floor
  end

  # @param entry [Entry] of kind done
  # @return [Rhexon::Compare::Done::Line, nil] nil where it is not reckoned any more
  def line(entry)
    return unless entry.kind == "done" && entry.piece && entry.pass_key

    done(entry.piece)&.line_of(entry.pass_key)
  end

  # @param piece [Piece]
  # @return [Rhexon::Compare::Done, nil] nil for a piece that cannot be planned
  def done(piece)
    (@done ||= {}).fetch(piece.id) { @done[piece.id] = reckoned(piece) }
  end

  private

  def reckoned(piece)
    plan = piece.in_hand? ? @floor.plan_of(piece) : @floor.plan_alone(piece)
    Rhexon::Compare::Done.new(plan, piece.core_id)
  rescue Rhexon::InvalidInput
    nil
  end
end
