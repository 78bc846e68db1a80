# A gun or another thing of which each serves one pass at a time.
class Tool < ApplicationRecord
  include Retires

  METHODS = %w[spray brush roller wipe pad].freeze

  validates :name, presence: { message: "Name the tool." }, uniqueness: { message: "There is a tool of that name." }
  validates :used_for, inclusion: { in: METHODS, message: "A tool is for spray, brush, roller, wipe or pad." }

  # @return [Hash] a tool of rhexon-shop/1
  def to_core = { "id" => name, "for" => used_for, **(retired? ? { "away" => true } : {}) }

  # Taken away: gone where nothing ever named it, else retired.
  def take_away!
    Revision.where("instr(document, ?) > 0", name.to_json).exists? ? retire! : destroy!
  end
end
