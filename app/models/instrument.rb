# A thermo-hygrometer of a room. It sends what it reads with a token of its own; a stand-in of the demo is asked.
class Instrument < ApplicationRecord
  belongs_to :room
  has_many :readings, -> { order(:at) }, class_name: "Instrument::AirReading", dependent: :destroy,
                                         inverse_of: :instrument

  validates :name, presence: { message: "Name the instrument." },
                   uniqueness: { message: "There is an instrument of that name." }
  validates :stand_in, inclusion: { in: Devices::SimulatedHygrometer::FAULTS }, allow_nil: true

  # Nothing new for so long: it is told as silent.
  SILENT_AFTER = 30.minutes

  # @return [Array(Instrument, String)] with the token, which is told once and kept as a digest
  def self.begin!(name:, room:, stand_in: nil)
    token = SecureRandom.urlsafe_base64(24)
    [ create!(name: name.to_s.strip, room: room, token_digest: digest(token), stand_in: stand_in), token ]
  end

  # @return [Instrument, nil]
  def self.by_token(token) = token.present? ? find_by(token_digest: digest(token)) : nil
  def self.digest(token) = Digest::SHA256.hexdigest(token.to_s)

  # @return [AirReading, nil]
  def last = readings.last

  # @param now [Time]
  # @return [String] new, silent, jump or ok
  def state(now = Time.current)
    return "new" unless last
    return "silent" if last.at < now - SILENT_AFTER

    last.jump ? "jump" : "ok"
  end

  # The stand-in that it is.
  # @return [Devices::Hygrometer, nil]
  def device
    return unless stand_in

    Devices::SimulatedHygrometer.new(->(at) { room.set_air_at(at).then { |air| [ air.t_c, air.rh ] } }, fault: stand_in,
                                                                                                       seed: id)
  end
end
