# A room with steady air.
class Room < ApplicationRecord
  validates :name, presence: true, uniqueness: true
  validates :t_c, numericality: { in: -20..60 }
  validates :rh, numericality: { in: 1..100 }

  # @return [Hash] a room of rhexon-shop/1
  def to_core = { "id" => name, "climate" => [ { "t_c" => t_c, "rh" => rh, "air" => air } ] }
end
