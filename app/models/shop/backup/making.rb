# Makes a backup: in a folder beside the others under a name of its own, checked, and only then given its name.
class Shop::Backup::Making
  # One at a time.
  LOCK = Mutex.new

  # @param root [Pathname]
  # @param reason [String]
  # @param now [Time]
  def initialize(root, reason, now)
    @root = root
    @reason = reason
    @now = now.utc
  end

  # @return [Shop::Backup]
  # @raise [Shop::Backup::Unsound]
  def make! = LOCK.synchronize { make_alone }

  private

  def make_alone
    File.umask(0o077).then do |before|
      prepare
      copy_database
      Shop::Backup::Soundness.check!(database)
      write_about(photos)
      finish
    ensure
      File.umask(before)
      FileUtils.rm_rf(making)
    end
  end

  def name = @now.strftime("%Y%m%dT%H%M%SZ")
  def making = @root.join(".making-#{name}-#{Process.pid}")
  def database = making.join(Shop::Backup::DATABASE)

  # What was left half made by a machine that went down is no backup.
  def prepare
    FileUtils.mkdir_p(@root, mode: 0o700)
    @root.glob(".making-*").select { |path| path.mtime < 1.hour.ago }.each { |path| FileUtils.rm_rf(path) }
    # A second has one name: what is made within the same one takes the next.
    @now += 1 while @root.join(name).exist?
    FileUtils.mkdir_p(making)
  end

  # SQLite's own online copy: readers and writers go on, and what is copied is one state of all of it.
  def copy_database
    Shop::Backup::Soundness.open(Shop::Backup.database) do |from|
      into = SQLite3::Database.new(database.to_s)
      Shop::Backup::Copying.open(from, into, &:run!)
      into.execute("PRAGMA journal_mode = DELETE")
    ensure
      into&.close
    end
  end

  # Photos are never changed: where the disk can, a backup holds them without a second copy.
  # @return [Array<String>] keys of photos that are not on the disk
  def photos
    service = ActiveStorage::Blob.service
    keys.reject do |key|
      from = Pathname(service.path_for(key))
      next unless from.file?

      into = making.join(Shop::Backup::PHOTOS, key[0, 2], key[2, 2], key)
      FileUtils.mkdir_p(into.dirname)
      begin
        File.link(from, into)
      rescue SystemCallError
        FileUtils.cp(from, into)
      end
    end
  end

  def keys = read { |copy| copy.execute("SELECT key FROM active_storage_blobs ORDER BY id").flatten }
  def read(&) = Shop::Backup::Soundness.open(database, &)

  def write_about(missing)
    about = { "format" => Shop::Backup::FORMAT, "made_at" => @now.iso8601, "reason" => @reason,
              "structure" => one("SELECT max(version) FROM schema_migrations").to_i, "counts" => counts,
              "written" => read { |copy| Shop::Backup.written { |sql| copy.execute(sql) } }, "bytes" => database.size,
              "sha256" => Digest::SHA256.file(database).hexdigest, "missing_photos" => missing }
    making.join(Shop::Backup::ABOUT).write(JSON.pretty_generate(about))
  end

  def counts = Shop::Backup::COUNTED.index_with { |table| one("SELECT count(*) FROM #{table}") }
  def one(sql) = read { |copy| copy.execute(sql).flatten.first }

  # On the disk, and then under its name.
  def finish
    making.glob("**/*").select(&:file?).each { |path| File.open(path, &:fsync) }
    File.rename(making, into = @root.join(name))
    Shop::Backup.new(into)
  end
end
