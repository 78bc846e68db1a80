# What a client wants by when.
class Job < ApplicationRecord
  has_many :pieces, -> { order(:id) }, dependent: :restrict_with_error, inverse_of: :job
  validates :client, presence: { message: "Name the client or the job." }

  scope :in_hand, -> { where(closed_at: nil).order(:id) }
end
