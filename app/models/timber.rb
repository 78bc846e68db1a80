# A batch of timber that is unlike its kind: what the shop found out about it counts more than the table of woods.
class Timber < ApplicationRecord
  FACTS = Rhexon::Colour::Wood::FACTS

  has_many :pieces, dependent: :restrict_with_error

  normalizes :name, :wood, with: ->(text) { text.strip }
  validates :name, presence: { message: "Name the batch of timber." },
                   uniqueness: { message: "There is a batch of that name already." }
  validates :wood, presence: { message: "Name the wood." }
  validates :words, presence: { message: "Say how you know it." }
  validate :facts_are_known

  # @return [Hash] as the piece's form shows it
  def to_choice = { id: id, name: name, wood: wood, facts: facts, words: words }

  private

  def facts_are_known
    known = facts.is_a?(Hash) && facts.any? && (facts.keys - FACTS).empty? && (facts.values - [ true, false ]).empty?
    errors.add(:facts, "Say at least one thing in which it is unlike its kind.") unless known
  end
end
