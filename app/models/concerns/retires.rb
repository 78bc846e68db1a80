# What schedules and the log name is retired, not deleted: known by its name, no longer offered.
module Retires
  extend ActiveSupport::Concern

  included { scope :offered, -> { where(retired_at: nil) } }

  def retired? = retired_at.present?

  def retire! = update!(retired_at: retired_at || Time.current)
  def take_up! = update!(retired_at: nil)
end
