# Puts a backup in the place of the shop as it is. What is there is kept as a backup first; where it is damaged, its
# file is set aside and never written over. What was ended since stays ended (Shop::Ended), and everybody signs in anew.
class Shop::Backup::Restoring
  # @param backup [Shop::Backup]
  # @param now [Time]
  def initialize(backup, now: Time.current)
    @backup = backup
    @now = now
  end

  # @return [Hash] :before, name of the backup of what was there, or :aside, path of the damaged file
  # @raise [Shop::Backup::Unsound] where the backup is not sound, or what was put in place is not the same
  # @raise [Shop::Backup::Copying::Held] where somebody writes all the time
  # @raise [Rhexon::InvalidInput] where it is of a newer Rhexon
  def restore!
    @backup.check!
    refuse_newer
    kept = sound? ? put_back { keep_what_is_there } : set_aside.tap { put_back }
    copy_photos
    bring_up_to_date
    end_again
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

  def there? = live.file? && live.size.positive?
  def sound? = there? && Shop::Backup::Soundness.damage(live).nil?

  def keep_what_is_there
    Shop::Ended.hold!
    @audited = AuditLine.where(at: @backup.made_at..).map { |line| line.attributes.except("id") }
    { before: Shop::Backup.make!(reason: "before #{@backup.name} was restored", now: @now).name }
  end

  def set_aside
    return {} unless there?

    ApplicationRecord.connection_handler.clear_all_connections!
    aside = live.sub_ext(".damaged-#{@now.utc.strftime("%Y%m%dT%H%M%SZ")}.sqlite3")
    [ "", "-wal", "-shm" ].each do |tail|
      from = Pathname("#{live}#{tail}")
      File.rename(from, "#{aside}#{tail}") if from.exist?
    end
    { aside: aside.to_s }
  end

  # Nobody writes from before what is there is kept until all of the backup stands in its place.
  # @yieldreturn what is kept of what is there
  def put_back
    into = SQLite3::Database.new(live.to_s)
    Shop::Backup::Soundness.open(@backup.database) do |from|
      Shop::Backup::Copying.open(from, into) do |copying|
        copying.hold!
        kept = yield if block_given?
        copying.run!
        compare!(from, into)
        kept
      end
    end.tap { into.execute("PRAGMA journal_mode = WAL") }
  ensure
    into&.close
  end

  # What the file says now, not what was meant to be written.
  def compare!(from, into)
    into.busy_handler_timeout = 1000 * Shop::Backup::Copying::WAIT_S
    differing = into.transaction(:immediate) do
      Shop::Backup::Content.differing(*[ from, into ].map { |database| Shop::Backup::Content.of(database) })
    end
    return if differing.empty?

    raise Shop::Backup::Unsound.new("What stands in the shop's file now is not what the backup #{@backup.name} holds " \
                                    "(#{differing.first(3).join(", ")}). What was there before is the newest backup",
                                    where: "backup", accepted: "the newest backup, or another one")
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

  def end_again
    Session.delete_all
    Shop::Ended.end!
    audit_again
  end

  # What happened since the backup is still on the trail: nobody takes it off by a restore.
  def audit_again
    people = Person.ids.to_set
    lines = (@audited || []).map { |line| people.include?(line["person_id"]) ? line : line.merge("person_id" => nil) }
    AuditLine.where(at: lines.map { |line| line["at"] }).pluck(:at, :kind).then do |known|
      fresh = lines.reject { |line| known.include?(line.values_at("at", "kind")) }
      AuditLine.insert_all(fresh) if fresh.any?
    end
  end

  # Nothing that was read before holds.
  def forget
    ApplicationRecord.connection.execute("UPDATE marks SET mark = random()")
    Stamp.forget
    Current.forget_shelf
    ShopFloor.forget
  end
end
