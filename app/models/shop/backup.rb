# A copy of the whole shop, its database and its photos, made while people work and checked when it was written. It is a
# folder by itself: the database as SQLite copies it (never the bare file, which holds only half of what was written
# last), the photos, and what it is in backup.json.
class Shop::Backup
  FORMAT = "rhexon-backup/1".freeze
  DATABASE = "shop.sqlite3".freeze
  ABOUT = "backup.json".freeze
  PHOTOS = "photos".freeze
  # How many of each are told.
  COUNTED = %w[pieces entries boards readings products batches photos].freeze
  NAME = /\A\d{8}T\d{6}Z\z/

  # It is not what it says it is, or not all of it is there.
  Unsound = Class.new(Rhexon::InvalidInput)

  class << self
    # Beside the database, or where RHEXON_BACKUPS says: another disk is better.
    # @return [Pathname]
    def root
      given = ENV.fetch("RHEXON_BACKUPS", nil)
      file = database
      given ? Pathname(given).join(file.basename(".sqlite3")) : file.sub_ext("-backups")
    end

    # @return [Pathname] of the shop's own database
    def database = Pathname(ApplicationRecord.connection_db_config.database).expand_path(Rails.root)

    # @return [Array<Backup>] the last first; what is being made, was not finished or does not say what it is, is none
    def all
      return [] unless root.directory?

      root.children.select { |path| path.basename.to_s.match?(NAME) }.map { |path| new(path) }.select(&:told?)
        .sort_by(&:name).reverse
    end

    # @return [Backup, nil]
    def last = all.first

    # @param name [String]
    # @return [Backup]
    # @raise [Rhexon::InvalidInput]
    def find(name)
      all.find { |one| one.name == name } ||
        raise(Rhexon::InvalidInput.new("There is no backup #{name}", where: "backup",
                                       accepted: all.first(5).map(&:name).join(", ")))
    end

    # What was written last, as a database tells it: marks of tables, and what leaves none.
    # @yieldparam sql [String]
    # @yieldreturn [Array<Array>] rows
    # @return [Hash{String=>Integer}]
    def written
      [ "SELECT name, mark FROM marks", "SELECT 'revisions', max(id) FROM revisions",
        "SELECT 'entries', max(id) FROM entries" ].flat_map { |sql| yield sql }.to_h
    end

    # @param reason [String] why it is made, in words
    # @return [Backup]
    # @raise [Unsound] where the copy is not sound; nothing is kept of it then
    def make!(reason:, now: Time.current) = Shop::Backup::Making.new(root, reason, now).make!

    # Makes one, copies it to the second place, and lets old ones go.
    # @return [Backup]
    def keep!(reason:, now: Time.current)
      make!(reason: reason, now: now).tap do |made|
        Shop::Backup::Elsewhere.copy(made)
        Shop::Backup::Keeping.tidy!(now: now)
      end
    end
  end

  attr_reader :path

  # @param path [Pathname]
  def initialize(path)
    @path = path
  end

  def name = path.basename.to_s
  def about = @about ||= JSON.parse(path.join(ABOUT).read)
  def made_at = Time.iso8601(about.fetch("made_at"))
  def reason = about.fetch("reason")
  def counts = about.fetch("counts")
  # @return [Integer] the structure of its database: the last migration that it knows
  def structure = about.fetch("structure")
  # @return [Integer] of the database; photos are shared with the shop where the disk can
  def bytes = about.fetch("bytes")
  # @return [Hash] what had been written when it was made (Written)
  def written = about.fetch("written", {})
  # @return [Array<String>] keys of photos that were not on the disk when it was made
  def missing_photos = about.fetch("missing_photos", [])
  def database = path.join(DATABASE)
  def photos = path.join(PHOTOS)

  # @return [Boolean] whether it says what it is, and its database is there in full length
  def told?
    made_at
    reason.is_a?(String) && counts.is_a?(Hash) && counts.values.all?(Integer) && written.is_a?(Hash) &&
      structure.is_a?(Integer) && missing_photos.is_a?(Array) && database.file? && database.size == bytes
  rescue StandardError
    false
  end

  # Reads all of it: its sum, and what SQLite says of it.
  # @return [Backup]
  # @raise [Unsound]
  def check!
    unsound("The backup #{name} is not whole: its database is missing") unless database.file?
    same = Digest::SHA256.file(database).hexdigest == about["sha256"]
    unsound("The backup #{name} was changed since it was made") unless same
    Shop::Backup::Soundness.check!(database)
    self
  end

  def sound?
    check! && true
  rescue Unsound
    false
  end

  private

  def unsound(sentence) = raise(Unsound.new(sentence, where: "backup", accepted: "another backup"))
end
