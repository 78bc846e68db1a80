# Takes an archive into an empty shop: all of it in one transaction, or nothing. What is in the file is believed no
# further than its names, sizes and columns go; what the database would refuse is refused.
class Shop::Archive::Reading
  MOST_ENTRIES = 200_000
  # Of one table and of one photo, and of all together, as they are unpacked.
  MOST_TABLE, MOST_PHOTO, MOST_ALL = 1.gigabyte, 64.megabytes, 8.gigabytes
  # A file that unpacks to more than this of its size is a trap.
  MOST_RATIO = 200
  SMALL = 10.megabytes

  # @param file [Pathname]
  def initialize(file)
    @file = Pathname(file)
    @unpacked = 0
  end

  # @return [Hash] archive.json
  # @raise [Rhexon::InvalidInput]
  def read!
    refuse("There is a shop here already", "an empty shop: start one with RHEXON_DATABASE=name") if Shop.exists?
    opened do |archive|
      refuse("There is too much in it", "up to #{MOST_ENTRIES} entries") if archive.entries.size > MOST_ENTRIES
      check_names(archive)
      about = about(archive)
      photos = take_photos(archive)
      take_tables(archive, about)
      about
    rescue StandardError
      photos&.each { |path| FileUtils.rm_f(path) }
      raise
    end
  end

  private

  def refuse(sentence, accepted = nil)
    raise Rhexon::InvalidInput.new(sentence, where: "archive", accepted: accepted)
  end

  def opened
    Zip::File.open(@file.to_s) { |archive| yield archive }
  rescue Zip::Error, Zlib::Error, SystemCallError => error
    refuse("The archive cannot be read: #{error.message.lines.first.to_s.strip}", "a file that Rhexon has written")
  end

  # Nothing is unpacked by the name that the archive gives it.
  def check_names(archive)
    odd = archive.entries.find do |entry|
      entry.symlink? || [ Shop::Archive::ABOUT, Shop::Archive::RECORD ].exclude?(entry.name) &&
        !entry.name.match?(Shop::Archive::TABLE) && !entry.name.match?(Shop::Archive::PHOTO)
    end
    refuse("The archive holds what does not belong in one: #{odd.name.truncate(60)}") if odd
    refuse("The archive holds one name twice") if archive.entries.map(&:name).uniq.size < archive.entries.size
  end

  def about(archive)
    text = bytes(archive.find_entry(Shop::Archive::ABOUT) || refuse("The archive does not say what it is"), 1.megabyte)
    about = JSON.parse(text)
    of_a_shop = about.is_a?(Hash) && about["format"].to_s.start_with?("rhexon-shop-archive/")
    refuse("That is no archive of a shop") unless of_a_shop
    known = ApplicationRecord.connection_pool.migration_context.migrations.map(&:version).max
    newer = about["format"] != Shop::Archive::FORMAT || !about["structure"].is_a?(Integer) || about["structure"] > known
    refuse("The archive was written by a newer Rhexon than this one", "a newer Rhexon") if newer
    about
  rescue JSON::ParserError
    refuse("The archive does not say what it is")
  end

  # Whatever size it claims, no more than this is unpacked of it.
  def bytes(entry, most)
    read = entry.get_input_stream { |input| input.read(most + 1) } || +""
    @unpacked += read.bytesize
    refuse("#{entry.name} is too large", "up to #{most / 1.megabyte} MB") if read.bytesize > most
    trap = read.bytesize > SMALL && read.bytesize > entry.compressed_size * MOST_RATIO
    refuse("The archive unpacks to more than it can hold") if trap || @unpacked > MOST_ALL
    read
  end

  # @return [Array<Pathname>] that were written
  def take_photos(archive)
    service = ActiveStorage::Blob.service
    archive.entries.filter_map do |entry|
      key = entry.name[Shop::Archive::PHOTO, 1] or next
      path = Pathname(service.path_for(key))
      next if path.file?

      FileUtils.mkdir_p(path.dirname)
      path.binwrite(bytes(entry, MOST_PHOTO))
      path
    end
  end

  def take_tables(archive, about)
    connection = ApplicationRecord.connection
    ApplicationRecord.transaction do
      connection.execute("PRAGMA defer_foreign_keys = ON")
      Shop::Archive.tables.each { |table| take_table(connection, archive, about, table) }
      check_links(connection)
      refuse("The archive holds no shop") unless Shop.one?
    end
    ShopFloor.forget
    Stamp.forget
  rescue ActiveRecord::StatementInvalid => error
    refuse("The archive holds what cannot be kept: #{error.cause&.message.to_s.lines.first.to_s.strip}")
  end

  def take_table(connection, archive, about, table)
    entry = archive.find_entry("tables/#{table}.jsonl") or return
    columns = connection.columns(table).map(&:name) - Shop::Archive::SECRETS.fetch(table, [])
    rows = bytes(entry, MOST_TABLE).force_encoding("UTF-8").each_line.map { |line| row(line, table, columns) }
    told = about.dig("tables", table)
    refuse("The table #{table} is not whole: #{rows.size} rows of #{told.inspect}") unless rows.size == told
    rows.each { |one| insert(connection, table, one) }
  end

  def row(line, table, columns)
    row = JSON.parse(line)
    plain = row.is_a?(Hash) && row.any? && (row.keys - columns).empty? &&
      row.values.all? { |value| value.nil? || value.is_a?(String) || value.is_a?(Numeric) }
    plain ? row : refuse("The table #{table} holds what is no row of it: #{line.truncate(80)}")
  rescue JSON::ParserError
    refuse("The table #{table} holds what is no row of it: #{line.truncate(80)}")
  end

  def insert(connection, table, row)
    names = row.keys.map { |name| connection.quote_column_name(name) }.join(", ")
    connection.execute("INSERT INTO #{connection.quote_table_name(table)} (#{names}) VALUES " \
                       "(#{row.values.map { |value| connection.quote(value) }.join(", ")})")
  end

  def check_links(connection)
    broken = connection.select_rows("PRAGMA foreign_key_check").first or return
    refuse("A row of #{broken[0]} points at what is not in the archive")
  end
end
