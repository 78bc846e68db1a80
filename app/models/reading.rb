# A reading on a cell. Never overwritten: a later one is a new reading.
class Reading < ApplicationRecord
  include ChangesShelf

  OLDEST = 10.years

  belongs_to :cell
  validates :client_id, presence: true

  def readonly? = persisted?

  # @return [Boolean] whether it wanted a fully cured film and had none
  def early?
    Rhexon::Boards::Readings.wants_cure?(kind) &&
      Rhexon::Boards::Readings.early?(kind, taken_at.to_i / 60, cell.cured_at)
  end

  # @raise [Rhexon::InvalidInput, Entry::Conflict]
  def self.record!(cell:, client_id:, kind:, value:, **fields)
    Rhexon.refuse_unless(client_id.is_a?(String) && client_id.present?, "A reading needs an id of its own",
                         where: "client_id")
    checked = Rhexon::Boards::Readings.check(kind, value)
    taken_at = fields[:taken_at]
    Rhexon.refuse_unless(taken_at.nil? || taken_at.between?(OLDEST.ago, Entry::AHEAD.from_now),
                         "A reading was taken up to now, not at #{taken_at&.iso8601}: look at the clock of this device",
                         where: "taken_at", accepted: "within the last ten years")
    known = find_by(client_id: client_id)
    if known && [ known.cell_id, known.kind, known.value ] != [ cell.id, kind, checked ]
      raise Entry::Conflict, "Reading #{client_id} was recorded before, with other content."
    end

    known || create!(cell: cell, client_id: client_id, kind: kind, value: checked, created_at: Time.current, **fields)
  end
end
