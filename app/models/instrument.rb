# An instrument of the shop, with a token of its own by which it sends what it reads: a thermo-hygrometer or the weather
# of a room, or something that is held on the work. A stand-in of the demo is asked.
class Instrument < ApplicationRecord
  OF_ROOMS = %w[hygrometer weather].freeze

  belongs_to :room, optional: true
  has_many :readings, -> { order(:at) }, class_name: "Instrument::AirReading", dependent: :destroy,
                                         inverse_of: :instrument
  has_many :hand_readings, -> { order(:at) }, class_name: "Instrument::HandReading", dependent: :destroy,
                                              inverse_of: :instrument

  validates :name, presence: { message: "Name the instrument." },
                   uniqueness: { message: "There is an instrument of that name." }
  validates :stand_in, inclusion: { in: Devices::SimulatedHygrometer::FAULTS }, allow_nil: true
  validate do
    kinds = [ *OF_ROOMS, *Instrument::Hand::MEASURES.keys ]
    errors.add(:kind, "An instrument is one of #{kinds.join(", ")}.") unless kinds.include?(kind)
    errors.add(:room, "It hangs in a room: say which.") if OF_ROOMS.include?(kind) && room.nil?
  end

  # Nothing new for so long: it is told as silent.
  SILENT_AFTER = 30.minutes

  scope :of_hand, -> { where.not(kind: OF_ROOMS) }

  # @return [Array(Instrument, String)] with the token, which is told once and kept as a digest
  def self.begin!(name:, room: nil, kind: "hygrometer", stand_in: nil)
    token = SecureRandom.urlsafe_base64(24)
    room = nil unless OF_ROOMS.include?(kind)
    [ create!(name: name.to_s.strip, room: room, kind: kind, token_digest: digest(token), stand_in: stand_in), token ]
  end

  # @return [Instrument, nil]
  def self.by_token(token) = token.present? ? find_by(token_digest: digest(token)) : nil
  def self.digest(token) = Digest::SHA256.hexdigest(token.to_s)

  # @return [AirReading, nil]
  def last = readings.last

  # @param now [Time]
  # @param read [AirReading, nil] the last
  # @return [String] new, silent, jump or ok
  def state(now = Time.current, read: last)
    return "new" unless read
    return "silent" if read.at < now - SILENT_AFTER

    read.jump ? "jump" : "ok"
  end

  # Takes in what it sent.
  # @param readings [Array<Hash>]
  # @return [Report]
  def take!(readings, now: Time.current)
    case kind
    when "hygrometer" then Intake.new(self, now: now).take!(readings)
    when "weather" then Forecast.new(self, now: now).take!(readings)
    else HandIntake.new(self, now: now).take!(readings)
    end
  end

  # The stand-in of a thermo-hygrometer or a weather line.
  # @return [Devices::Hygrometer, nil]
  def device
    return unless stand_in
    return weather_line if kind == "weather"

    Devices::SimulatedHygrometer.new(->(at) { room.set_air_at(at).then { |air| [ air.t_c, air.rh ] } }, fault: stand_in,
                                                                                                       seed: id)
  end

  private

  def weather_line = Devices::SimulatedWeather.new(t_c: room.t_c, rh: room.rh, fault: stand_in, seed: id)
end
