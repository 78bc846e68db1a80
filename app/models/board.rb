# A sample board of real size with a row of cells.
class Board < ApplicationRecord
  belongs_to :piece, optional: true
  belongs_to :trial, optional: true
  belongs_to :making, class_name: "Piece", optional: true
  has_many :cells, -> { order(:position) }, dependent: :destroy, inverse_of: :board

  validates :name, presence: { message: "Name the board." },
                   uniqueness: { message: "There is already a board of that name." }
  validates :wood, presence: { message: "Name the wood." }
  validates :grain, inclusion: { in: Piece::GRAINS, message: "Choose how open the grain is." }
  validates :width_mm, :height_mm,
            numericality: { only_integer: true, in: 50..3000, message: "A board is 50 to 3000 mm wide and high." }
  validates :made_on, presence: true

  # Those whose name, wood or piece has these words in it.
  # @param words [String]
  scope :found, ->(words) {
    like = "%#{sanitize_sql_like(words)}%"
    left_joins(:piece).where("boards.name LIKE :like OR boards.wood LIKE :like OR pieces.name LIKE :like", like: like)
  }

  # @!attribute id   [Integer] of the board
  # @!attribute look [Rhexon::Boards::Relook::Look]
  LookAgain = Struct.new(:id, :name, :look)

  # When boards are to be looked at again, and what has been done of it: by days of readings alone.
  # @param today [Date]
  # @return [Array<LookAgain>] three of each board
  def self.looks_again(today)
    clock = Shop.current.clock
    rows = Reading.joins(:cell).distinct.pluck("cells.board_id", "readings.taken_at")
    read = rows.group_by(&:first).transform_values { |times| times.map { |_, at| clock.date(at.to_i / 60) } }
    order(:id).pluck(:id, :name, :made_on).flat_map do |id, name, made_on|
      Rhexon::Boards::Relook.for(made_on, read.fetch(id, []), today).map { |look| LookAgain.new(id, name, look) }
    end
  end

  # @return [Array<Rhexon::Boards::Layout::Place>] of the cells: a row, or what the trial drew
  def places
    if trial
      sheet.places
    else
      Rhexon::Boards::Layout.row(width_mm: width_mm, height_mm: height_mm, margin_mm: margin_mm, tape_mm: tape_mm,
                                 cells: cells.size)
    end
  end

  # @return [Rhexon::Boards::Layout::Sheet]
  def sheet
    @sheet ||= Rhexon::Boards::Layout.grid(width_mm: width_mm, height_mm: height_mm, margin_mm: margin_mm,
                                           tape_mm: tape_mm, cells: cells.size,
                                           stages: step_strip ? strip_hexes.size : 0)
  end

  # What its own timber was read as, bare.
  # @return [Array<Float>, nil] L*a*b*
  def bare_lab = cells.find { |cell| cell.role == "bare" }&.summary(nil)&.lab

  # Layers of each stage of the step strip.
  def strip_layers = step_strip && trial ? Rhexon::Boards::StepStrip.stages(trial.base) : []

  # The base of the trial after each stage.
  def strip_hexes = step_strip && trial ? LooksState.new(wood, trial.base, bare: bare_lab).stage_hexes : []

  # All that is laid on it, the stages of its step strip among it.
  # @return [Rhexon::Boards::WorkOrder]
  def work_order
    @work_order ||= Rhexon::Boards::WorkOrder.new(
      cells.to_h { |cell| [ cell.label, cell.layers ] }.merge(
        strip_layers.each_with_index.to_h { |layers, stage| [ strip_name(stage), layers ] }
      )
    )
  end

  # @return [Hash{String=>Float}] m² by cell and stage
  def areas
    strips = strip_layers.any? ? sheet.strips : []
    (cells.map(&:label) + strips.each_index.map { |stage| strip_name(stage) })
      .zip([ *places, *strips ])
      .to_h { |name, place| [ name, place.width_mm * place.height_mm / 1e6 ] }
  end

  # When it is to be looked at again.
  # @return [Array<Rhexon::Boards::Relook::Look>]
  def relooks(today)
    minutes = cells.flat_map(&:readings).map { |reading| reading.taken_at.to_i / 60 }.uniq
    clock = Shop.current.clock
    Rhexon::Boards::Relook.for(made_on, minutes.map { |minute| clock.date(minute) }, today)
  end

  # @return [Cell, nil] nil: undecided
  def best_cell
    return @best_cell if defined?(@best_cell)

    best = Rhexon::Boards::Readings.best(cells.reject(&:ruined).to_h { |cell| [ cell.id, cell.summary ] })
    @best_cell = cells.find { |cell| cell.id == best }
  end

  # @return [String, nil] colour of a cell by day: as it was read, else as it is predicted
  def hex_of(cell)
    lab = cell.summary(nil).lab
    lab ? Rhexon::Colour::Lab.hex(lab) : cell.looks.last_hexes&.fetch("D65")
  end

  def strip_name(stage) = stage.zero? ? "strip bare" : "strip #{stage}"

  # @return [Array<Numeric>, nil] L*a*b* its cells are held against
  def target_lab = trial&.target || piece&.target_lab
end
