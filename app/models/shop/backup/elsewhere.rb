# Copies of backups in a second place, such as another disk or a folder that goes to another house: where
# RHEXON_BACKUPS_SECOND says, sealed where RHEXON_BACKUPS_PASSPHRASE_FILE names a file with a passphrase. Photos are
# there once for all copies.
class Shop::Backup::Elsewhere
  SEALED = ".sealed".freeze
  TOLD = "second.json".freeze

  class << self
    # @return [Elsewhere, nil] nil: there is no second place
    def of_shop
      root = ENV.fetch("RHEXON_BACKUPS_SECOND", nil).presence or return
      new(Pathname(root).join(Shop::Backup.database.basename(".sqlite3")), passphrase)
    end

    # @return [String, nil]
    # @raise [Rhexon::InvalidInput] where the file is not there or says nothing
    def passphrase
      file = ENV.fetch("RHEXON_BACKUPS_PASSPHRASE_FILE", nil).presence or return
      Pathname(file).read.strip.presence || raise(Errno::ENOENT)
    rescue SystemCallError
      raise Rhexon::InvalidInput.new("The passphrase of the backups cannot be read from #{file}", where: "backup")
    end

    # Copies a backup there, if there is such a place; whatever goes wrong with it is told by the doctor.
    # @return [Boolean, nil] nil: there is none
    def copy(backup)
      elsewhere = of_shop or return
      elsewhere.put!(backup)
      tell(backup, nil)
      true
    rescue SystemCallError, Rhexon::InvalidInput => error
      tell(backup, error.message)
      false
    end

    # @return [Hash, nil] of the last copy: "backup", "at", "error"
    def last
      JSON.parse(Shop::Backup.root.join(TOLD).read)
    rescue SystemCallError, JSON::ParserError
      nil
    end

    private

    def tell(backup, error)
      Shop::Backup.root.join(TOLD).write(JSON.generate(backup: backup.name, at: Time.current.iso8601, error: error))
    end
  end

  # @param root [Pathname]
  # @param passphrase [String, nil] nil: they lie there as they are
  def initialize(root, passphrase)
    @root = root
    @seal = passphrase && Shop::Backup::Sealed.new(passphrase)
  end

  # @return [Array<String>] names, the last first
  def names
    return [] unless @root.directory?

    @root.children.map { |path| path.basename.to_s }.grep(Shop::Backup::NAME).sort.reverse
  end

  # The photos first, then the copy under a name of its own until it is whole; and those that are kept no longer go.
  # @param backup [Shop::Backup]
  def put!(backup, now: Time.current)
    backup.photos.glob("*/*/*").each { |photo| put(photo, @root.join(Shop::Backup::PHOTOS, photo.basename)) }
    making = @root.join(".making-#{backup.name}")
    FileUtils.rm_rf(making)
    [ Shop::Backup::DATABASE, Shop::Backup::ABOUT ].each { |name| put(backup.path.join(name), making.join(name)) }
    FileUtils.rm_rf(@root.join(backup.name))
    File.rename(making, @root.join(backup.name))
    tidy(now)
  end

  # Brings one back among the backups of this computer, where it can be looked at and restored.
  # @param name [String, nil] nil: the last
  # @return [Shop::Backup]
  # @raise [Shop::Backup::Unsound, Rhexon::InvalidInput]
  def fetch!(name = nil)
    name = name.presence || names.first
    Rhexon.refuse_unless(names.include?(name), "There is no backup #{name} in #{@root}", where: "backup",
                         accepted: names.first(5).join(", "))
    into = Shop::Backup.root.join(name)
    into.mkpath
    into.chmod(0o700)
    [ Shop::Backup::DATABASE, Shop::Backup::ABOUT ].each { |file| fetch(@root.join(name, file), into.join(file)) }
    photos(into)
    Shop::Backup.new(into).check!
  end

  private

  # A backup without photos is none, and those that are not there are told by the doctor.
  def photos(into)
    keys = Shop::Backup::Soundness.open(into.join(Shop::Backup::DATABASE)) { |database|
      database.execute("SELECT key FROM active_storage_blobs").flatten
    }
    keys.each do |key|
      from = @root.join(Shop::Backup::PHOTOS, key)
      fetch(from, into.join(Shop::Backup::PHOTOS, key[0, 2], key[2, 2], key)) if lies_at(from)
    end
  end

  def lies_at(path) = [ path, Pathname("#{path}#{SEALED}") ].find(&:file?)

  def put(from, into)
    into = Pathname("#{into}#{SEALED}") if @seal
    return if into.file?

    FileUtils.mkdir_p(into.dirname, mode: 0o700)
    @seal ? @seal.seal!(from, into) : FileUtils.cp(from, into, preserve: true)
  end

  def fetch(from, into)
    FileUtils.mkdir_p(into.dirname, mode: 0o700)
    lies = lies_at(from) or raise Shop::Backup::Unsound.new("#{from.basename} is missing in #{from.dirname}",
                                                            where: "backup")
    return FileUtils.cp(lies, into) unless lies.extname == SEALED

    Rhexon.refuse_unless(@seal, "The backups in #{@root} are sealed", where: "backup",
                         accepted: "their passphrase, in a file that RHEXON_BACKUPS_PASSPHRASE_FILE names")
    @seal.unseal!(lies, into)
  end

  def tidy(now)
    times = names.to_h { |name| [ Time.strptime(name, "%Y%m%dT%H%M%S%z"), name ] }
    kept = Shop::Backup::Keeping.kept(times.keys, now: now)
    times.except(*kept).each_value { |name| FileUtils.rm_rf(@root.join(name)) }
  end
end
