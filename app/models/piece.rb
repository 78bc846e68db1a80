# A piece, or n alike pieces, with its faces and its schedule.
class Piece < ApplicationRecord
  USES = %w[show furniture table_top bar_top floor marine].freeze
  ARRISES = %w[sharp eased_2mm eased_3mm].freeze
  GRAINS = %w[closed semi_open open mdf_face mdf_edge end_grain].freeze

  belongs_to :job
  has_many :faces, -> { order(:position, :id) }, dependent: :destroy, inverse_of: :piece
  has_one :schedule, dependent: :restrict_with_error
  has_many :entries, dependent: :restrict_with_error
  accepts_nested_attributes_for :faces

  validates :name, presence: { message: "Name the piece." }, uniqueness: { scope: :job_id, message: "This job already has a piece of that name." }
  validates :count, numericality: { only_integer: true, in: 1..1000, message: "How many alike: a whole number from 1 to 1000." }
  validates :wood, presence: { message: "Name the wood." }
  validates :use, inclusion: { in: USES, message: "Choose what it must stand up to." }, allow_nil: true
  validates :arris, inclusion: { in: ARRISES }
  validates :faces, presence: { message: "A piece needs at least one face." }
  after_create { create_schedule!(piece: self) }

  def core_id = "p#{id}"

  def self.from_core(core_id) = find(core_id.to_s.delete_prefix("p"))

  # @param clock [Rhexon::Planning::Zone] of the shop
  # @return [Hash] a piece of rhexon-shop/1
  def to_core(clock)
    { "id" => core_id, "count" => count, "due" => job.due_at && clock.iso(job.due_at.to_i / 60), "ready_at" => ready_at, "use" => use, "arris" => arris,
      "faces" => faces.map(&:to_core), "schedule" => schedule.document }
  end
end
