# One state of a schedule document, with the operation that made it and why. Immutable.
class Revision < ApplicationRecord
  belongs_to :schedule
  belongs_to :parent, class_name: "Revision", optional: true
  belongs_to :person, optional: true

  def readonly? = persisted?

  # Revisions are never rewritten: one of an older version is read as it would be written today.
  # @return [Object] parsed JSON
  def document
    kept = super
    return kept unless kept.is_a?(Hash) && kept["format"] == Rhexon::Schedule::StepUp::OLD && kept["steps"].is_a?(Array)

    kept.merge("format" => Rhexon::Schedule::Document::FORMAT, "steps" => Shelf.stepped_up(kept["steps"]))
  end

  # @return [Array<Hash>] of its document; none where that cannot be read
  def steps = document.is_a?(Hash) && document["steps"].is_a?(Array) ? document["steps"].grep(Hash) : []
end
