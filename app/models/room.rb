# A room with its air: steady, or by the hours of the day, and what a logger or a forecast says hour by hour.
class Room < ApplicationRecord
  # What was is kept this long.
  PAST = 30.days
  # Readings of a later time were written by a clock that was wrong.
  AHEAD = 10.years
  USES = %w[sand spray finish dry].freeze
  has_many :climate_readings, dependent: :delete_all
  has_many :instruments, -> { order(:id) }, dependent: :destroy, inverse_of: :room

  validates :name, presence: { message: "Name the room." }, uniqueness: { message: "There is a room of that name." }
  validates :t_c, numericality: { in: -20..60, message: "A room is -20 to 60 °C." }
  validates :rh, numericality: { in: 1..100, message: "Humidity is 1 to 100 %." }
  validates :air,
            inclusion: {
              in: Rhexon::Reference.drying.air.keys,
              message: "The air is still, ordinary, moving or cabinet."
            }
  validates :rack_places, numericality: { only_integer: true, in: 0..10_000, message: "A rack has 0 or more places." },
                          allow_nil: true
  validate do
    errors.add(:uses, "A room is used to sand, spray, finish or dry.") unless uses.is_a?(Array) && (uses - USES).empty?
  end
  validate :core_accepts_it
  after_save { @line = nil }
  before_update :keep_the_past, if: -> { (changed & %w[t_c rh air daily]).any? }

  # @return [Hash] a room of rhexon-shop/1
  def to_core
    known = climate_readings.select { |reading| reading.until > PAST.ago && reading.until < AHEAD.from_now }
      .sort_by { |reading| [ reading.at, ClimateReading::KINDS.index(reading.kind) ] }
      .uniq(&:at)
    place = { "id" => name, "uses" => uses, "rack_places" => rack_places }
    return { **place, "climate" => [ set ] } if known.empty? && daily.blank?

    { **place, "climate" => known.map(&:to_core), "daily" => daily.presence || [ { "at" => "00:00", **set } ] }
  end

  # @return [Rhexon::Drying::Climate] as the room is set, whatever was read
  def set_air_at(time)
    place = { "id" => name, "daily" => daily.presence || [ { "at" => "00:00", **set } ] }
    Rhexon::Drying::ClimateTimeline.read(place, Shop.current.clock).at(time.to_i / 60)
  end

  # @return [Rhexon::Drying::ClimateTimeline]
  def line = @line ||= Rhexon::Drying::ClimateTimeline.read(to_core, Shop.current.clock)

  # @return [Rhexon::Drying::Climate] its air at that time
  def air_at(time = Time.current) = line.at(time.to_i / 60)

  private

  def set = { "t_c" => t_c, "rh" => rh, "air" => air }

  def core_accepts_it
    return if daily.blank?

    Rhexon::Schema.check!(
      "rhexon-shop-1",
      {
        "format" => "rhexon-shop/1", "now" => "", "zone" => "", "people" => [ { "id" => "x", "week" => {} } ],
        "products" => [], "pieces" => [], "rooms" => [ { "id" => "x", "daily" => daily } ]
      }
    )
    Rhexon::Drying::ClimateTimeline.read({ "daily" => daily }, Shop.current.clock)
  rescue Rhexon::InvalidInput => refusal
    errors.add(:daily, refusal.message)
  end

  # What dries was laid in the air that was; another setting holds from now on.
  def keep_the_past
    before = Room.find(id).line
    now = Time.current.to_i / 60
    minute = (Time.current - PAST).to_i / 60
    rows = []
    while minute && minute < now
      following = [ before.change_after(minute) || now, now ].min
      rows << past(minute, following, before.at(minute))
      minute = following
    end
    climate_readings.where(kind: "setting").delete_all
    ClimateReading.insert_all!(rows)
    climate_readings.reset
  end

  def past(minute, till, climate)
    {
      room_id: id, at: Time.at(minute * 60).utc, until: Time.at(till * 60).utc, kind: "setting", t_c: climate.t_c,
      rh: climate.rh, air: climate.air, created_at: Time.current
    }
  end
end
