# What a client wants by when.
class Job < ApplicationRecord
  include RenamesRecord

  # A due date is met by the end of that day.
  DUE_AT = "17:00"

  has_many :pieces, -> { where(put_away_at: nil).order(:id) }, dependent: :restrict_with_error, inverse_of: :job
  validates :client, presence: { message: "Name the client or the job." }
  validate do
    if due_at && due_at_changed? && !Rhexon::Zone.near?(due_at.to_i / 60, Time.current.to_i / 60)
      errors.add(:due, "A due date is within ten years.")
    end
  end
  validate { errors.add(:due, "A due date is a day, such as 2026-12-18.") if @due_is_no_day }

  validate { errors.add(:air_there, "Air is °C and % RH, such as 20 and 45: -30 to 60, and 1 to 99.") if @no_air }

  validates :priority, inclusion: { in: Rhexon::Planning::Piece::PRIORITIES, message: "Choose a priority." }

  # "20 °C 45 %": the air of the place where its pieces will live; blank: a heated room.
  def air_there = place_t_c && format("%<t_c>g °C %<rh>g %%", t_c: place_t_c, rh: place_rh)

  # @param typed [String] two numbers, °C and % RH
  def air_there=(typed)
    numbers = typed.to_s.tr(",", ".").scan(/-?\d+(?:\.\d+)?/).map(&:to_f)
    t_c, rh = numbers if numbers.size == 2
    known = t_c&.between?(-30, 60) && rh.between?(1, 99)
    @no_air = typed.present? && !known
    self.place_t_c, self.place_rh = known ? [ t_c, rh ] : nil unless @no_air
  end

  # @return [Hash, nil] of rhexon-shop/1
  def place_air = place_t_c && { "t_c" => place_t_c.to_f, "rh" => place_rh.to_f }

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
