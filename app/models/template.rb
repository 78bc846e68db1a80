# An entry of the recipe book: a schedule that is kept for other pieces, in versions.
class Template < ApplicationRecord
  has_many :versions, -> { order(:number) }, class_name: "Template::Version", dependent: :destroy, inverse_of: :template
  has_many :schedules, through: :versions

  validates :name, presence: { message: "Name the recipe." }, length: { maximum: 80 },
                   uniqueness: { message: "There is a recipe of that name in the book." }

  # @return [Template::Version]
  def latest = versions.last

  # @param number [Integer, nil] nil: the latest
  # @return [Template::Version]
  def version(number) = number ? versions.find { |one| one.number == number } || latest : latest

  # @param made [Rhexon::Templates::Template]
  # @param reason [String] what is new in it
  # @return [Template::Version] where nothing is new: the latest as it is
  def keep!(made, reason)
    transaction do
      update!(name: made.name)
      document = made.json.except("name")
      next latest if latest && latest.document == document

      versions.create!(number: (versions.maximum(:number) || 0) + 1, document: document, reason: reason)
    end
  end

  # What a file holds: as a new entry, or as the next version of the one that has its name.
  # @param json [Object] rhexon-template/1
  # @return [Template]
  # @raise [Rhexon::InvalidInput]
  def self.take_in!(json)
    made = Rhexon::Templates::Template.read(json)
    transaction do
      find_or_initialize_by(name: made.name).tap { |template| template.keep!(made, "Taken in from a file") }
    end
  end
end
