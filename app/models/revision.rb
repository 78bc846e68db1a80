# One state of a schedule document, with the operation that made it and why. Immutable.
class Revision < ApplicationRecord
  belongs_to :schedule
  belongs_to :parent, class_name: "Revision", optional: true

  def readonly? = persisted?

  # @return [Array<Hash>] of its document; none where that cannot be read
  def steps = document.is_a?(Hash) && document["steps"].is_a?(Array) ? document["steps"].grep(Hash) : []
end
