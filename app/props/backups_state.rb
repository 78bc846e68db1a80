# The backups of the shop as their page shows them.
class BackupsState
  # @return [Hash] BackupsPage
  def to_h
    hours = Shop::Backup::Keeping::RULES.keys.map { |span| span.to_i / 3600 }
    BackupsPageSerializer.new(
      { backups: Shop::Backup.all.map { |one| told(one) }, root: root, now: Time.current.to_i / 60,
        zone: Shop.current.zone, entries: Entry.count, hours: hours, drill: drill,
        trying: Shop::Backup::Drill.trying? }
    ).to_h
  end

  private

  # From the folder of Rhexon on, where it lies in there.
  def root = Shop::Backup.root.to_s.delete_prefix("#{Rails.root}/")

  # The last restore that was tried, and what was wrong with it.
  def drill
    last = Shop::Backup::Drill.last or return
    wrong = last.lines.reject { |line| line["good"] }
    { at: last.at.to_i / 60, of: last.made_at.to_i / 60, good: last.good?,
      sentences: wrong.map { |line| line["sentence"] } }
  end

  def told(backup)
    { id: backup.name, at: backup.made_at.to_i / 60, reason: backup.reason, megabytes: (backup.bytes / 1e6).round(1),
      counts: backup.counts, missing_photos: backup.missing_photos.size,
      same: backup.written == written }
  end

  # Nothing was written since.
  def written = @written ||= Shop::Backup.written { |sql| ApplicationRecord.connection.select_rows(sql) }
end
