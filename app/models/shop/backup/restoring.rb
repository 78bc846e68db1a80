# Puts a backup in the place of the shop as it is. What is there is kept as a backup first; where it is damaged, its
# file is set aside and never written over.
class Shop::Backup::Restoring
  # @param backup [Shop::Backup]
  # @param now [Time]
  def initialize(backup, now: Time.current)
    @backup = backup
    @now = now
  end

  # @return [Hash] :before, name of the backup of what was there, or :aside, path of the damaged file
  # @raise [Rhexon::InvalidInput] where the backup is not sound, or of a newer Rhexon
  def restore!
    @backup.check!
    refuse_newer
    kept = keep_what_is_there
    copy_database
    copy_photos
    bring_up_to_date
    forget
    kept
  end

  private

  def live = Shop::Backup.database

  def refuse_newer
    known = ApplicationRecord.connection_pool.migration_context.migrations.map(&:version).max
    Rhexon.refuse_unless(@backup.structure <= known,
                         "The backup #{@backup.name} was made by a newer Rhexon than this one", where: "backup",
                         accepted: "a backup of this version or an older one, or a newer Rhexon")
  end

  def keep_what_is_there
    return {} unless live.file? && live.size.positive?
    return { before: Shop::Backup.make!(reason: "before #{@backup.name} was restored", now: @now).name } if sound?

    ApplicationRecord.connection_handler.clear_all_connections!
    aside = live.sub_ext(".damaged-#{@now.utc.strftime("%Y%m%dT%H%M%SZ")}.sqlite3")
    [ "", "-wal", "-shm" ].each do |tail|
      from = Pathname("#{live}#{tail}")
      File.rename(from, "#{aside}#{tail}") if from.exist?
    end
    { aside: aside.to_s }
  end

  def sound? = Shop::Backup::Soundness.damage(live).nil?

  # SQLite's own copy the other way: pages that are open see the old state or the new one, never half of either.
  def copy_database
    into = SQLite3::Database.new(live.to_s)
    into.busy_timeout = 10_000
    Shop::Backup::Soundness.open(@backup.database) do |from|
      copying = SQLite3::Backup.new(into, "main", from, "main")
      copying.step(-1)
      copying.finish
    end
    into.execute("PRAGMA journal_mode = WAL")
  ensure
    into&.close
  end

  def copy_photos
    service = ActiveStorage::Blob.service
    @backup.photos.glob("*/*/*").each do |from|
      into = Pathname(service.path_for(from.basename.to_s))
      next if into.file?

      FileUtils.mkdir_p(into.dirname)
      FileUtils.cp(from, into)
    end
  end

  def bring_up_to_date
    ApplicationRecord.connection_handler.clear_all_connections!
    context = ApplicationRecord.connection_pool.migration_context
    ActiveRecord::Migration.suppress_messages { context.migrate } if context.needs_migration?
  end

  # Nothing that was read before holds.
  def forget
    ApplicationRecord.connection.execute("UPDATE marks SET mark = random()")
    Stamp.forget
    Current.forget_shelf
    ShopFloor.forget
  end
end
