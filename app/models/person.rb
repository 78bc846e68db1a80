# Somebody who works at the bench.
class Person < ApplicationRecord
  has_many :open_hours, dependent: :destroy
  validates :name, presence: { message: "Name the person." }, uniqueness: { message: "There is somebody of that name." }
  validate do
    unless skills.nil? || (skills.is_a?(Array) && (skills - self.class.trained_work).empty?)
      errors.add(:skills, "Training is a list of work, such as spray.")
    end
  end

  # Those whose hands plans are made for.
  def self.at_bench = where(at_bench: true).order(:id)

  # Work that asks for training, of which a person may do what is in their skills; nil: all of it.
  def self.trained_work = Rhexon::Reference.hands.skilled_methods

  # @return [Hash] a person of rhexon-shop/1; hours of the shop where they have none of their own
  def to_core
    own = open_hours.to_a
    rows = own.any? ? own : OpenHour.where(person: nil).to_a
    {
      "id" => name, **(at_bench ? {} : { "away" => true }), "skills" => skills, "week" => OpenHour.week(rows),
      "except" => OpenHour.exceptions(rows + (own.any? ? OpenHour.where(person: nil).where.not(date: nil).to_a : []))
    }
  end
end
