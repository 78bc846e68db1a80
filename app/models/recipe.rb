# A blend of the shop's own: components of rhexon-mix/1, which may be blends themselves.
class Recipe < ApplicationRecord
  validates :name, presence: { message: "Name the recipe." }, uniqueness: { message: "There is a recipe of that name." }
  validate :core_accepts_it

  private

  def core_accepts_it
    Rhexon::Schema.check!("rhexon-mix-1", { "components" => components, "want" => { "total_g" => 100 } })
    Rhexon::Mixing::Recipe.new(components)
  rescue Rhexon::InvalidInput => refusal
    errors.add(:components, refusal.message)
  end
end
