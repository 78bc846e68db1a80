# What SQLite says of a database file, read only.
module Shop::Backup::Soundness
  module_function

  # @param file [Pathname]
  # @return [true]
  # @raise [Shop::Backup::Unsound] with what is wrong with it
  def check!(file)
    damage = damage(file)
    return true unless damage

    raise Shop::Backup::Unsound.new("#{file.basename} is damaged: #{damage}", where: file.basename.to_s,
                                    accepted: "a backup of it")
  end

  # @return [String, nil]
  def damage(file)
    return "it is empty" if file.size.zero?

    open(file) do |database|
      wrong = database.execute("PRAGMA integrity_check(3)").flatten - [ "ok" ]
      wrong += database.execute("PRAGMA foreign_key_check").first(3).map { |row|
        "#{row[0]} points at what is not there"
      }
      tables = database.execute("SELECT count(*) FROM sqlite_master WHERE name = 'shops'").flatten.first
      wrong << "it is no shop" if tables.zero?
      wrong.first(3).join("; ").presence
    end
  rescue SQLite3::Exception => error
    error.message
  end

  # @yieldparam database [SQLite3::Database]
  def open(file, **options)
    database = SQLite3::Database.new(file.to_s, readonly: true, **options)
    database.busy_handler_timeout = 10_000
    yield database
  ensure
    database&.close
  end
end
