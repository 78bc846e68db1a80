# A product on the shelf. Figures it lacks come from its class, marked as estimates, in the core.
class Product < ApplicationRecord
  has_many :batches, dependent: :restrict_with_error
  has_many :mixes, dependent: :restrict_with_error

  validates :code, :name, :maker, :kind, :role, presence: true
  validates :code, uniqueness: true
  validates :name, uniqueness: { scope: :maker }
  validate :core_accepts_it

  # @return [Hash] a product of rhexon-shop/1
  def to_core
    { "id" => code, "name" => "#{maker} #{name}", "maker" => maker, "class" => kind, "role" => role, "colour" => colour }.merge(figures)
  end

  # @return [Rhexon::Materials::Product]
  def to_value = Rhexon::Materials::Product.new(to_core)

  def full_name = "#{maker} #{name}"

  private

  def core_accepts_it
    Rhexon::Materials::Product.new(to_core)
  rescue Rhexon::Refusal => refusal
    errors.add(:kind, refusal.message)
  end
end
