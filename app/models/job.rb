# What a client wants by when.
class Job < ApplicationRecord
  # A due date is met by the end of that day.
  DUE_AT = "17:00"

  has_many :pieces, -> { order(:id) }, dependent: :restrict_with_error, inverse_of: :job
  validates :client, presence: { message: "Name the client or the job." }
  validate do
    if due_at && due_at_changed? && !Rhexon::Zone.near?(due_at.to_i / 60, Time.current.to_i / 60)
      errors.add(:due, "A due date is within ten years.")
    end
  end
  validate { errors.add(:due, "A due date is a day, such as 2026-12-18.") if @due_is_no_day }

  scope :in_hand, -> { where(closed_at: nil).order(:id) }
  scope :closed, -> { where.not(closed_at: nil).order(closed_at: :desc) }

  def due_on = due_at && Shop.current.clock.date(due_at.to_i / 60)

  # @param day [String, Date, nil] "2026-12-18"; blank for none
  def due_on=(day)
    @due_is_no_day = false
    self.due_at = day.presence && Time.at(Shop.current.clock.at(Date.iso8601(day.to_s), DUE_AT) * 60)
  rescue ArgumentError
    @due_is_no_day = true
  end

  # A closed job leaves the bench and the plan; its log goes on teaching.
  def closed=(closed)
    self.closed_at = closed ? (closed_at || Time.current) : nil
  end
end
