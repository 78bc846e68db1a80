require "open3"

# Looks a whole shop over: its file, its pieces and their log, its photos, its backups, and the computer it stands on.
# It reads, and changes nothing.
class Shop::Doctor
  # @!attribute good [Boolean, nil] nil: only told
  Finding = Struct.new(:of, :good, :sentence, keyword_init: true)

  OF = %i[file structure pieces entries photos disk clock backups second drill versions].freeze
  # A disk with less left than this holds no more than a few weeks of photos and backups. An estimate.
  LEAST_FREE_MB = 1000
  # A shop in use has a backup of its last day.
  OLDEST_BACKUP = 2.days

  def initialize(now: Time.current)
    @now = now
  end

  # @param of [Array<Symbol>] of OF
  # @return [Array<Finding>]
  def findings(of = OF) = of.map { |name| look(name) }

  private

  def look(name)
    good, sentence = send(name)
    Finding.new(of: name.to_s, good: good, sentence: sentence)
  rescue StandardError => error
    reason = error.message.strip.lines.first.to_s.strip
    Finding.new(of: name.to_s, good: false, sentence: "This could not be looked at: #{reason}")
  end

  def file
    damage = Shop::Backup::Soundness.damage(Shop::Backup.database)
    [ damage.nil?, damage ? "The shop's file is damaged: #{damage}." : "The shop's file is sound." ]
  end

  def structure
    behind = ApplicationRecord.connection_pool.migration_context.needs_migration?
    [ !behind, behind ? "The shop's file is of an older Rhexon: start Rhexon once to bring it up to date." :
                        "The shop's file fits this version." ]
  end

  def pieces
    floor = ShopFloor.new(now: @now)
    wrong = floor.aside.to_h { |aside| [ aside.piece.name, aside.reason ] }
    floor.scheduled.each do |piece|
      floor.drawing(piece).check!
    rescue StandardError => error
      wrong[piece.name] = error.message
    end
    told(wrong, "Every piece can be planned and drawn.", "cannot be planned or drawn")
  end

  # Of pieces that are closed or put away, too, which no plan looks at.
  def entries
    clock = Shop.current.clock
    wrong = Piece.order(:id).each_with_object({}) do |piece, found|
      Rhexon::Planning::PassLog.fold(Shop::Beliefs.log([ piece.id ], clock))
    rescue StandardError => error
      found[piece.name] = error.message
    end
    told(wrong, "Every log entry can be read.", "has a log entry that cannot be read")
  end

  def photos
    service = ActiveStorage::Blob.service
    wrong = ActiveStorage::Blob.order(:id).reject { |blob|
      path = service.path_for(blob.key)
      File.file?(path) && File.size(path) == blob.byte_size && Digest::MD5.file(path).base64digest == blob.checksum
    }
    [ wrong.empty?, wrong.empty? ? "Every photo is there, unchanged." :
                                   "Photos are missing or changed: #{wrong.first(3).map { |blob|
                                     blob.filename
                                   }.to_sentence}." ]
  end

  def disk
    said, ended = Open3.capture2("df", "-Pk", ".", chdir: Shop::Backup.database.dirname.to_s)
    return [ nil, "This computer does not tell how full its disk is." ] unless ended.success?

    free = said.lines.last.split[3].to_i / 1024
    [ free >= LEAST_FREE_MB,
      free >= LEAST_FREE_MB ? "The disk has room." : "The disk is nearly full: #{free} MB are left." ]
  end

  # A computer whose battery is empty begins anew in another year.
  def clock
    last = Entry.maximum(:recorded_at)
    return [ true, "The computer's clock agrees with the log." ] if last.nil? || last <= @now + 5.minutes

    [ false, "The computer's clock says #{@now.iso8601}, and the log goes on to #{last.iso8601}: set the clock." ]
  end

  def backups
    last = Shop::Backup.all.find(&:sound?)
    return [ false, "There is no sound backup." ] unless last

    good = last.made_at > @now - OLDEST_BACKUP || last.written == written
    [ good, good ? "The last backup is sound and holds the latest work." :
                   "The last sound backup is of #{last.made_at.to_date.iso8601}, and much was written since." ]
  end

  def second
    return [ nil, "There is no second place for backups." ] unless Shop::Backup::Elsewhere.of_shop

    last = Shop::Backup::Elsewhere.last or return [ nil, "No backup has been copied to the second place yet." ]
    return [ false, "The last copy to the second place did not work: #{last["error"]}." ] if last["error"]

    [ true, "The last backup lies in the second place, too." ]
  end

  def written = Shop::Backup.written { |sql| ApplicationRecord.connection.select_rows(sql) }

  def drill
    last = Shop::Backup::Drill.last
    return [ nil, "No restore has been tried yet: bin/rhexon-shop drill tries one." ] unless last

    day = last.at.to_date.iso8601
    [ last.good?, last.good? ? "A restore was tried on #{day} and worked." :
                               "A restore was tried on #{day} and did not work." ]
  end

  def versions
    [ nil,
      "Rhexon #{Rhexon::VERSION}, Ruby #{RUBY_VERSION}, Rails #{Rails.version}, SQLite #{SQLite3::SQLITE_VERSION}." ]
  end

  # @param wrong [Hash{String=>String}] names with reasons
  def told(wrong, good, bad)
    return [ true, good ] if wrong.empty?

    [ false, wrong.first(5).map { |name, reason|
      "#{name} #{bad}: #{reason.to_s.lines.first.to_s.strip.chomp(".")}."
    }.join(" ") ]
  end
end
