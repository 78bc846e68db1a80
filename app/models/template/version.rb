# What a recipe of the book was at one time. Immutable.
class Template::Version < ApplicationRecord
  self.table_name = "template_versions"
  belongs_to :template, inverse_of: :versions
  has_many :schedules, foreign_key: :template_version_id, inverse_of: :template_version, dependent: :restrict_with_error

  def readonly? = persisted? && !destroyed_by_association

  # @return [Rhexon::Templates::Template]
  # @raise [Rhexon::InvalidInput]
  def read = Rhexon::Templates::Template.read(document.merge("name" => template.name))
end
