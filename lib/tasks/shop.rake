require "io/console"

# What bin/rhexon-shop does. A damaged file must not stop it: nothing here touches the database before it is due.
namespace :shop do
  tell = ->(backup) {
    counts = backup.counts.map { |what, count| "#{count} #{what}" }.join(", ")
    puts "#{backup.name}  #{backup.made_at.localtime.strftime("%a %-d %b %H:%M")}  #{backup.reason}  (#{counts})"
  }
  stop = ->(error) {
    warn error.message
    exit 1
  }

  desc "Makes a backup, while people work or not"
  task backup: :environment do
    tell.(Shop::Backup.keep!(reason: ENV.fetch("REASON", "by hand")))
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  desc "Lists the backups, the last first"
  task backups: :environment do
    all = Shop::Backup.all
    all.each(&tell)
    puts "There is no backup in #{Shop::Backup.root} yet: bin/rhexon-shop backup makes one." if all.empty?
  end

  desc "Reads the shop's file and its last backup, and says what is wrong"
  task check: :environment do
    file = Shop::Backup.database
    next puts("There is no shop at #{file} yet.") unless file.file? && file.size.positive?

    damage = Shop::Backup::Soundness.damage(file)
    last = Shop::Backup.all.find(&:sound?)
    at = last&.made_at&.localtime&.strftime("%a %-d %b %H:%M")
    since = last ? "The last sound backup is #{last.name} (#{at})." : "There is no sound backup."
    next puts("#{file} is sound. #{since}") unless damage

    warn "#{file} is damaged: #{damage}."
    warn since
    warn "bin/rhexon-shop restore puts it in its place; the damaged file is set aside and kept." if last
    exit 1
  end

  show = ->(lines) {
    lines.each { |line| puts "#{{ true => "ok  ", false => "BAD ", nil => "    " }[line["good"]]} #{line["sentence"]}" }
    exit 1 if lines.any? { |line| line["good"] == false }
  }

  desc "Looks the whole shop over: file, pieces, log, photos, disk, clock, backups"
  task doctor: :environment do
    show.(Shop::Doctor.new.findings.map { |finding| finding.to_h.transform_keys(&:to_s) })
  end

  desc "Tries a restore of the last backup (or NAME=...), beside the shop and without touching it"
  task drill: :environment do
    backup = ENV["NAME"].to_s.empty? ? Shop::Backup.last : Shop::Backup.find(ENV["NAME"])
    raise Rhexon::InvalidInput.new("There is no backup yet", where: "backup") unless backup

    result = Shop::Backup::Drill.new(backup).run!
    puts "Tried #{backup.name} of #{backup.made_at.localtime.strftime("%a %-d %b %H:%M")}:"
    show.(result.lines)
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  # What the drill runs on the file that it restored.
  task read_restored: :environment do
    context = ApplicationRecord.connection_pool.migration_context
    ActiveRecord::Migration.suppress_messages { context.migrate } if context.needs_migration?
    findings = Shop::Doctor.new.findings(%i[file structure pieces entries photos]).map(&:to_h)
    failing = Shop::Backup::PageReader.new.failing
    findings << { of: "pages", good: failing.empty?,
                  sentence: failing.empty? ? "Every page can be read." :
                            "Pages that cannot be read: #{failing.keys.first(5).to_sentence}." }
    puts JSON.generate(findings)
  end

  desc "Brings a copy back from the second place (NAME=..., left out: the last), to be looked at and restored"
  task fetch: :environment do
    elsewhere = Shop::Backup::Elsewhere.of_shop ||
      raise(Rhexon::InvalidInput.new("There is no second place", where: "backup",
                                     accepted: "RHEXON_BACKUPS_SECOND=/folder/of/the/copies"))
    tell.(elsewhere.fetch!(ENV["NAME"]))
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  desc "Puts a backup in the place of the shop (NAME=..., left out: the last sound one)"
  task restore: :environment do
    backup = ENV["NAME"].to_s.empty? ? Shop::Backup.all.find(&:sound?) : Shop::Backup.find(ENV["NAME"])
    raise Rhexon::InvalidInput.new("There is no sound backup", where: "backup") unless backup

    kept = Shop::Backup::Restoring.new(backup).restore!
    puts "Restored #{backup.name} of #{backup.made_at.localtime.strftime("%a %-d %b %H:%M")}."
    puts "What was there is kept as backup #{kept[:before]}." if kept[:before]
    puts "The damaged file is kept as #{kept[:aside]}." if kept[:aside]
    puts "A server that is running now has to be started again." if Rails.root.join("tmp/pids").exist?
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  desc "Writes the whole shop into one file (FILE=...)"
  task export: :environment do
    file = ENV["FILE"].to_s.empty? ? "rhexon-shop-#{Date.current.iso8601}.zip" : ENV["FILE"]
    about = Shop::Archive.write!(Pathname(file))
    puts "#{file}: #{about["tables"].values.sum} rows of #{about["tables"].size} tables, #{about["photos"]} photos."
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  desc "Takes such a file into an empty shop (FILE=...)"
  task import: [ :environment, "db:prepare" ] do
    raise Rhexon::InvalidInput.new("There is no file #{ENV["FILE"]}",
                                   where: "archive") unless File.file?(ENV["FILE"].to_s)

    about = Shop::Archive.read!(Pathname(ENV["FILE"]))
    puts "Taken in: #{about["tables"].values.sum} rows of #{about["tables"].size} tables, #{about["photos"]} photos."
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end

  desc "Sets a new password of somebody (NAME=...), typed here or read from what is piped in"
  task password: :environment do
    forgotten = Shop::NewPassword.new(ENV["NAME"])
    typed = $stdin.tty? ? $stdin.getpass("New password (#{Person.password_words}): ") : $stdin.gets.to_s.chomp
    person = forgotten.set!(typed)
    puts "#{person.name} (#{person.role}) signs in with it from now on, and was signed out everywhere."
  rescue Rhexon::InvalidInput => error
    stop.(error)
  rescue ActiveRecord::RecordInvalid => error
    warn error.record.errors.map(&:message).join(" ")
    exit 1
  end

  # A new version of Rhexon may change the structure: what it was before is kept.
  task backup_before_migrating: :environment do
    file = Shop::Backup.database
    next unless Rails.env.production? && file.file? && file.size.positive?
    next unless ApplicationRecord.connection_pool.migration_context.needs_migration?

    backup = Shop::Backup.make!(reason: "before an update")
    puts "Backup #{backup.name} was made before the shop's file is brought up to date."
  rescue Rhexon::InvalidInput => error
    stop.(error)
  end
end

%w[db:prepare db:migrate].each { |name| Rake::Task[name].enhance([ "shop:backup_before_migrating" ]) }
