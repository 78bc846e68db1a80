# The air of a room from a moment on: measured by a logger, forecast, or what the room was set to in the past.
class ClimateReading < ApplicationRecord
  KINDS = %w[logger forecast setting].freeze

  belongs_to :room

  # @return [Hash] a climate entry of rhexon-shop/1
  def to_core
    clock = Shop.current.clock
    {
      "from" => clock.iso(at.to_i / 60), "until" => clock.iso(self.until.to_i / 60), "t_c" => t_c, "rh" => rh,
      "air" => air
    }
  end
end
