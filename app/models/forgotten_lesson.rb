# What the log taught of a product up to then is not counted any more: another recipe, another room, a bad start.
class ForgottenLesson < ApplicationRecord
  belongs_to :product

  validates :phase, inclusion: { in: Rhexon::Drying::Beliefs::PHASES, message: "What dries is early or hard." }

  # @return [Hash{Array(String, String)=>Integer}] code of the product and phase => minute up to which all is forgotten
  def self.up_to
    joins(:product).group("products.code", :phase).maximum(:created_at)
      .transform_values { |at| Time.zone.parse(at.to_s).to_i / 60 }
  end
end
