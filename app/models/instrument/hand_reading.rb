# What an instrument that is held on the work read; a jump is kept and marked.
class Instrument::HandReading < ApplicationRecord
  self.table_name = "hand_readings"
  belongs_to :instrument, inverse_of: :hand_readings

  # Older ones are of other work.
  FRESH = 10.minutes

  # @param now [Time]
  def fresh?(now = Time.current) = at > now - FRESH
end
