# A client's yes to the look of a board or of a piece, kept in the log. It goes stale when the schedule behind it
# changes.
class Approval
  # @param body [Hash] client_id, cell (id or none), name, light
  # @param by_link [GuestLink, nil] by which the client gave it
  # @return [Entry]
  # @raise [Rhexon::InvalidInput]
  def self.record!(piece, body, cell: nil, by_link: nil, now: Time.current)
    name = body["name"].to_s.strip
    Rhexon.refuse_unless(
      name.length.between?(1, 80), "Somebody approves: write the name", where: "name", accepted: "1 to 80 letters"
    )
    Rhexon.refuse_unless(by_link&.for_name.nil? || same?(by_link.for_name, name), "This link is for " \
                         "#{by_link&.for_name}", where: "name", accepted: by_link&.for_name)
    age = cell && (Shop.current.clock.date(now.to_i / 60) - cell.board.made_on).to_i
    Entry.record!(client_id: body["client_id"], kind: "approved", happened_at: now, piece: piece, cell: cell,
                  revision: piece.schedule.head,
                  body: { "name" => name, "light" => body["light"].presence || "daylight", "age_days" => age,
                          "link" => by_link&.id, "again" => (true if by_link&.approval) }.compact)
  end

  # The entries that stand, read again when something was logged or a board has changed.
  @standing = Rhexon::Cache.new(300, lately_used: true)

  class << self
    def same?(one, other) = one.strip.downcase == other.strip.downcase

    # @return [Approval, nil] the last that stands
    def for(piece)
      entry = @standing.fetch([ Stamp.current.logs[piece.id], *Stamp.current.of("cells", "boards"), piece.id ]) {
        last_of(piece)
      }
      entry && new(entry, piece)
    end

    private

    def last_of(piece)
      Entry.where(piece: piece, kind: "approved")
        .where
        .missing(:correction)
        .includes(:revision, cell: :board)
        .order(:happened_at, :id).last
    end
  end

  attr_reader :entry

  def initialize(entry, piece = entry.piece)
    @entry = entry
    @piece = piece
  end

  # @return [Boolean] whether the schedule is another one than the approved
  def stale? = Rhexon::Boards::Approved.stale?(entry.revision.document, @piece.schedule.document)

  def to_h
    { id: entry.id, name: entry.body["name"], light: entry.body["light"], age_days: entry.body["age_days"],
      again: entry.body["again"] == true,
      at: entry.happened_at.to_i / 60, stale: stale?,
      cell: entry.cell &&
        { id: entry.cell_id, label: entry.cell.label, board: entry.cell.board.name, board_id: entry.cell.board_id } }
  end
end
