# The log: what happened at the bench. Append-only; a correction voids the entry it names.
class Entry < ApplicationRecord
  KINDS = %w[
    started done dry_test fault note correction poured mixed discarded approved verdict acknowledged rags
    tick measured seen_to
  ].freeze
  AHEAD = 2.minutes
  # The same client id came with another body.
  Conflict = Class.new(StandardError)

  belongs_to :piece, optional: true
  belongs_to :revision, optional: true
  belongs_to :mix, optional: true
  belongs_to :cell, optional: true
  # Who had signed in, or whose hands had taken the device over.
  belongs_to :person, optional: true
  belongs_to :corrects, class_name: "Entry", optional: true
  has_one :correction, class_name: "Entry", foreign_key: :corrects_id, inverse_of: :corrects,
                       dependent: :restrict_with_error
  has_many :photos, dependent: :restrict_with_error

  # Less what was taken back.
  scope :uncorrected, -> { where.not(id: Entry.unscoped.where(kind: "correction").select(:corrects_id)) }

  validates :kind, inclusion: { in: KINDS }
  validates :client_id, presence: true

  def readonly? = persisted?

  # Records an entry once: the same client id again answers with the first.
  # @return [Entry]
  # @raise [Conflict, Rhexon::InvalidInput]
  def self.record!(client_id:, kind:, happened_at:, **fields)
    unless client_id.is_a?(String) && client_id.present? && client_id.size <= 200
      raise Rhexon::InvalidInput.new(
        "An entry needs an id of its own", where: "client_id", accepted: "up to 200 letters"
      )
    end
    Rhexon::Zone.near!(happened_at.to_i / 60, Time.current.to_i / 60, "happened_at")
    if happened_at > AHEAD.from_now
      raise Rhexon::InvalidInput.new(
        "That has not happened yet: #{happened_at.iso8601}", where: "happened_at", accepted: "now or earlier"
      )
    end

    known = find_by(client_id: client_id)
    return known.tap { |entry| entry.same!(kind: kind, **fields.except(:revision)) } if known

    create!(client_id: client_id, kind: kind, happened_at: happened_at, recorded_at: Time.current,
            person: Current.person, **fields)
  rescue ActiveRecord::RecordNotUnique
    find_by(client_id: client_id) ||
      raise(Rhexon::InvalidInput.new("That entry was already taken back", where: "corrects"))
  end

  # @return [Array<Entry>] of a piece, less what was taken back, in the order it happened
  def self.standing(piece)
    piece.entries
      .includes(:correction)
      .reject { |entry| entry.kind == "correction" || entry.correction }
      .sort_by { |entry| [ entry.happened_at, entry.id ] }
  end

  # @return [Array<String>] keys of the passes of a piece that something is logged about
  def self.standing_passes(piece)
    uncorrected.where(piece: piece).where.not(kind: "correction").where.not(pass_key: nil).distinct.pluck(:pass_key)
  end

  def same!(**fields)
    other = fields.any? do |name, value|
      if value.is_a?(ActiveRecord::Base) || value.nil?
        public_send(name) != value
      else
        public_send(name).to_json != value.to_json
      end
    end
    raise Conflict, "Entry #{client_id} was recorded before, with other content." if other
  end
end
