# A piece, or n alike pieces, with its faces and its schedule.
class Piece < ApplicationRecord
  include RenamesRecord

  USES = %w[show furniture table_top bar_top floor marine].freeze
  ARRISES = %w[sharp eased_1mm eased_2mm eased_3mm].freeze
  MOST_FACES = Rhexon::Reference.hands.most_faces
  PORES = %w[open closed].freeze
  SHAPES = Rhexon::Work::Extent::SHAPES
  GRAINS = %w[closed semi_open open mdf_face mdf_edge end_grain].freeze

  belongs_to :job
  belongs_to :timber, optional: true
  # Whose own it is: nobody else's hands are planned for it.
  belongs_to :person, optional: true
  # What it was given to somebody from, with its schedule.
  belongs_to :given_from, class_name: "Piece", optional: true
  has_many :given, -> { order(:id) }, class_name: "Piece", foreign_key: :given_from_id, inverse_of: :given_from,
                                      dependent: :restrict_with_error
  has_many :faces, -> { order(:position, :id) }, dependent: :destroy, inverse_of: :piece
  has_one :schedule, dependent: :restrict_with_error
  has_many :entries, dependent: :restrict_with_error
  has_many :photos, dependent: :restrict_with_error
  has_many :boards, dependent: :nullify
  has_many :given_quotes, -> { order(:id) }, dependent: :restrict_with_error
  has_one :made_board, class_name: "Board", foreign_key: :making_id, inverse_of: :making, dependent: :nullify
  accepts_nested_attributes_for :faces

  validates :name, presence: { message: "Name the piece." },
                   uniqueness: { scope: :job_id, conditions: -> { where(put_away_at: nil) }, if: :kept?,
                                 message: "This job already has a piece of that name." }
  validates :count,
            numericality: { only_integer: true, in: 1..1000, message: "How many alike: a whole number from 1 to 1000." }
  validates :wood, presence: { message: "Name the wood." }
  validates :use, inclusion: { in: USES, message: "Choose what it must stand up to." }, allow_nil: true
  validates :light,
            inclusion: {
              in: ->(_) { Rhexon::Colour::Light.all.map(&:id) }, message: "Choose the light it will be seen in."
            }
  validates :arris, inclusion: { in: ARRISES }
  validates :pores, inclusion: { in: PORES, message: "Pores are to show, or to be closed." }, allow_nil: true
  validates :shape, inclusion: { in: SHAPES, message: "Choose how it is formed." }, allow_nil: true
  validates :priority, inclusion: { in: Rhexon::Planning::Piece::PRIORITIES, message: "Choose a priority." },
                       allow_nil: true
  normalizes :pores, :wood_like, :shape, :priority, with: :presence.to_proc
  validates :wood_like, inclusion: { in: ->(_) { Rhexon::Colour::Wood.species }, message: "Choose a kind of wood." },
                        allow_nil: true
  validates :faces, presence: { message: "A piece needs at least one face." }
  validate do
    errors.add(:faces, "A piece has up to #{MOST_FACES} faces; write it as several pieces.") if faces.size > MOST_FACES
  end
  validate :timber_is_of_its_wood
  validate :wanted_look_is_understood
  validate :faces_fit_the_log, on: :update
  after_create { create_schedule!(piece: self) }

  # In the jobs that are in hand, but for those that are put away.
  scope :in_hand, -> { where(job: Job.in_hand, put_away_at: nil) }
  scope :put_away, -> { where.not(put_away_at: nil) }

  def kept? = put_away_at.nil?
  def in_hand? = kept? && job.closed_at.nil?

  # @raise [Rhexon::InvalidInput] when its job is closed or it is put away
  def in_hand!
    return if in_hand?

    Rhexon.refuse_unless(kept?, "#{name} was #{entries.exists? ? "archived" : "deleted"}", where: "pieces/#{id}",
                         accepted: "restore it under Jobs and pieces")
    raise Rhexon::InvalidInput.new("The job of #{name} is closed", where: "pieces/#{id}",
                                   accepted: "take the job in hand again under Jobs and pieces")
  end

  # A floor from above, as Areas::Floor takes it: its one face has the area that was sketched.
  def sketch=(drawn)
    super
    floor = faces.find { |face| face.kind == "face" }
    floor.area_m2 = Rhexon::Areas::Floor.area_m2(Rhexon::Areas::Floor.check!(drawn)).round(3) if drawn && floor
  end

  # "34.6 20.2 23.6": the wanted colour as it is typed, CIE L*a*b* under D65; blank for none.
  attr_reader :wanted_colour_typed, :wanted_gloss_typed

  def wanted_colour = target_lab&.join(" ")

  def wanted_colour=(text)
    @wanted_colour_typed = text
    numbers = text.to_s.tr(",", ".").scan(/-?\d+(?:\.\d+)?/).map(&:to_f)
    self.target_lab = numbers.size == 3 ? numbers : nil
  end

  # "25 to 35" GU at 60 degrees; blank for none.
  def wanted_gloss = sheen_low && "#{sheen_low} to #{sheen_high}"

  def wanted_gloss=(text)
    @wanted_gloss_typed = text
    self.sheen_low, self.sheen_high = text.to_s.scan(/\d+/).map(&:to_i).minmax
  end

  # @return [Face, nil] that is looked at
  def shown_face = faces.find { |face| face.kind == "face" } || faces.first

  # What a schedule lays on the face that is shown: the steps of a board's cell.
  # @param steps [Array<Hash>]
  # @return [Array<Hash>]
  def layers(steps = schedule.steps)
    shown = shown_face&.name
    steps
      .select { |step| step["faces"].nil? || step["faces"].include?(shown) }
      .map { |step| step.except("pins", "faces", "room", "dry_room", "again", "closes") }
  end

  # What was there before, of the face that is shown or of one that is named.
  # @return [Hash]
  def found_on(face_name = nil)
    face = faces.find { |one| one.name == face_name } || shown_face
    face&.found || {}
  end

  # @return [String, nil] its kind of wood, or the nearest to it
  def species = Rhexon::Colour::Wood.named(wood) || wood_like

  # What moisture readings say of it, in the air where it will live.
  # @return [Rhexon::Prep::Moisture::Verdict, nil]
  def moisture(readings)
    known = Rhexon::Planning::Piece.new(faces: faces.to_h { |face| [ face.name, face.to_core ] }, use: use,
                                        place_air: job.place_air)
    Rhexon::Prep::Moisture.of(known, readings)
  end

  # @return [String] its priority, or that of its job
  def turn = priority || job.priority

  def core_id = "p#{id}"

  def self.from_core(core_id) = find(id_of(core_id))

  # @return [Integer, nil]
  def self.id_of(core_id) = core_id.to_s[/\Ap(\d{1,15})\z/, 1]&.to_i

  # @param clock [Rhexon::Zone] of the shop
  # @param tried [Array<Hash>] boards tried for it
  # @return [Hash] a piece of rhexon-shop/1
  def to_core(clock, tried: [], approved: false)
    { "id" => core_id, "job" => "j#{job_id}", "by" => person&.name, "shop_tools" => shop_tools, "count" => count,
      "due" => job.due_at && clock.iso(job.due_at.to_i / 60), "priority" => turn,
      "ready_at" => ready_at, "use" => use, "arris" => arris, "shape" => shape,
      "wood" => wood, "wood_like" => wood_like,
      "wood_facts" => timber&.facts,
      "place_air" => job.place_air, "sketch" => sketch, "wanted" => wanted, "boards" => tried,
      "look_approved" => approved, "faces" => faces.map(&:to_core),
      "schedule" => Rhexon::Schedule::Fitting.without_strays(schedule.document) }
  end

  private

  def wanted
    { "lab" => target_lab, "light" => light, "gu" => [ sheen_low, sheen_high ].compact.presence, "pores" => pores }
      .compact
  end

  # Passes go by the faces they cover, and so does the log.
  def faces_fit_the_log
    if faces.any?(&:new_record?) && entries.exists?
      errors.add(:faces,
                 "Work on this piece is in the log by its faces, so no face can be added. Make another piece for it.")
    end
  end

  def timber_is_of_its_wood
    return if timber_id.nil? || (timber && Rhexon::Colour::Wood.named(timber.wood) == species)

    errors.add(:timber_id, "This batch is of another wood.")
  end

  def wanted_look_is_understood
    if wanted_colour_typed.present? && target_lab.nil?
      errors.add(:wanted_colour, "A colour is three numbers, L* a* b*, such as 34.6 20.2 23.6.")
    end
    Rhexon::Boards::Readings.check("lab", target_lab) if target_lab
    if wanted_gloss_typed.present? && (sheen_low.nil? || sheen_high > 200)
      errors.add(:wanted_gloss, "Gloss is a range in GU, such as 25 to 35, at most 200.")
    end
  rescue Rhexon::InvalidInput => refusal
    errors.add(:wanted_colour, refusal.message)
  end
end
