# What a thermo-hygrometer read. A jump is kept, and used once the next reading says the same.
class Instrument::AirReading < ApplicationRecord
  self.table_name = "air_readings"
  belongs_to :instrument, inverse_of: :readings

  scope :sound, -> { where(jump: false) }
end
