# One cell of a board: its layers, as steps of a schedule document, and what was read on it.
class Cell < ApplicationRecord
  include ChangesShelf

  belongs_to :board
  has_many :readings, -> { order(:taken_at, :id) }, dependent: :restrict_with_error, inverse_of: :cell
  has_many :schedules, foreign_key: :from_cell_id, inverse_of: :from_cell, dependent: :nullify
  has_many :photos, -> { order(:id) }, dependent: :restrict_with_error, inverse_of: :cell

  validates :label, presence: true, uniqueness: { scope: :board_id }
  validate :layers_are_steps, if: :layers_changed?

  # Cells of older boards are read as they would be written today.
  # @return [Array<Hash>] steps of a schedule document
  def layers = Shelf.stepped_up(super)

  # @return [Rhexon::Boards::Readings::Summary]
  def summary(target_lab = board.target_lab)
    Rhexon::Boards::Readings.summary(readings.map { |reading| [ reading.kind, reading.value ] }, target_lab: target_lab)
  end

  # @return [Array<Float>, nil] the colour read last
  def latest_lab
    readings.select { |reading| reading.kind == "lab" }.max_by { |reading| [ reading.taken_at, reading.id ] }&.value
  end

  # What is predicted of it: on its board's own timber where that was read bare.
  # @return [LooksState]
  def looks = LooksState.new(board.wood, layers, bare: (board.bare_lab unless role == "bare"))

  # @return [Float] m²
  def area_m2 = board.places[position].then { |place| place.width_mm * place.height_mm / 1e6 }

  # @return [Numeric, nil] minute of its full cure, counted from the day the board was made
  def cured_at
    (cure = Rhexon::Boards::Readings.full_cure_min(layers, Shelf.products)) &&
      Shop.current.clock.at(board.made_on, "00:00") + cure
  end

  # @param piece [Piece]
  # @param methods [Hash{String=>String}] method on the board => method on the piece
  # @return [Rhexon::Boards::Promotion::Result]
  def promotion(piece, methods, today:)
    facts = { readings: readings.size, age_days: (today - board.made_on).to_i, timber: board.wood.downcase,
              piece_wood: piece.wood.downcase, ruined: ruined, spots_early: readings.any?(&:early?),
              area_m2: area_m2, piece_area_m2: piece.faces.map(&:area_m2).max * piece.count }
    Rhexon::Boards::Promotion.promote(layers, products: Shelf.products, room: piece.schedule.document["room"],
                                              methods: methods, cell: facts)
  end

  private

  # What stood in it before is left as it is; what is new is held to the same rule as a schedule.
  def layers_are_steps
    document, before = [ layers, layers_was || [] ].map { |steps|
      Rhexon::Schedule::Document.empty.merge("steps" => steps)
    }
    Rhexon::Schedule::Document.check!(document)
    (layers - before["steps"]).each { |step| Rhexon::Schedule::Document.check_products!(step, Shelf.products) }
    Rhexon::Schedule::Fitting.check_changes!(document, before, Shelf.products)
  rescue Rhexon::InvalidInput => refusal
    errors.add(:layers, refusal.message)
  end
end
