# Papers, pads, strainers, tape: worn out by the work, in packs.
class Consumable < ApplicationRecord
  validates :name, presence: { message: "Name it." }, uniqueness: { message: "There is a consumable of that name." }
  validates :unit, presence: { message: "Say what it is counted in." }
  validates :pack, numericality: { greater_than: 0, message: "A pack holds more than 0." }
  validates :left, numericality: { greater_than_or_equal_to: 0, message: "What is left is 0 or more." }
  validates :price, numericality: { greater_than_or_equal_to: 0, message: "A price is 0 or more." }, allow_nil: true

  def to_core
    {
      "id" => "k#{id}", "name" => name, "unit" => unit, "pack" => pack, "price" => price, "left" => left, "wear" => wear
    }
  end
end
