# A reading on a cell. Never overwritten: a later one is a new reading.
class Reading < ApplicationRecord
  include ChangesShelf

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
    known = find_by(client_id: client_id)
    if known && [ known.cell_id, known.kind, known.value ] != [ cell.id, kind, checked ]
      raise Entry::Conflict, "Reading #{client_id} was recorded before, with other content."
    end

    known || create!(cell: cell, client_id: client_id, kind: kind, value: checked, created_at: Time.current, **fields)
  end
end
