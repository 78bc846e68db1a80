# One state of a schedule document, with the operation that made it and why. Immutable.
class Revision < ApplicationRecord
  belongs_to :schedule
  belongs_to :parent, class_name: "Revision", optional: true

  def readonly? = persisted?
end
