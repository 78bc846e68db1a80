# The whole shop as one file in open formats, which an empty shop takes in with nothing lost: a ZIP of what it is
# (archive.json), each table as lines of JSON, the photos, and for people the record as CSV (docs/formats.md).
module Shop::Archive
  FORMAT = "rhexon-shop-archive/1".freeze
  ABOUT = "archive.json".freeze
  TABLE = %r{\Atables/([a-z_]{1,60})\.jsonl\z}
  PHOTO = %r{\Aphotos/([a-z0-9]{20,40})\z}
  # For people to read; not taken in again.
  RECORD = "record.csv".freeze
  # What a database makes by itself, what the finding of words is made anew from, and who is signed in.
  LEFT_OUT = /\A(schema_migrations|ar_internal_metadata|sqlite_|marks\z|entry_words|active_storage_variant|sessions\z)/
  # What lets people in stays where it is: a file goes from hand to hand.
  SECRETS = { "people" => %w[password_digest code_digest second_secret second_used_at] }.freeze

  module_function

  # @return [Array<String>] tables of the shop
  def tables(connection = ApplicationRecord.connection)
    connection.tables.reject { |name| name.match?(LEFT_OUT) }.sort
  end

  # @param file [Pathname] to be written
  # @return [Hash] what is in it
  def write!(file, now: Time.current) = Shop::Archive::Writing.new(file, now).write!

  # @param file [Pathname]
  # @return [Hash] what was taken in
  # @raise [Rhexon::InvalidInput] where it is none, damaged, too large or of a newer Rhexon, or a shop is here already
  def read!(file) = Shop::Archive::Reading.new(file).read!

  # @raise [Rhexon::InvalidInput]
  def refuse(sentence, accepted = nil)
    raise Rhexon::InvalidInput.new(sentence, where: "archive", accepted: accepted)
  end
end
