# What an archive holds, read no further than it may: names, counts and sizes are looked at before anything is unpacked,
# tables come line by line and photos piece by piece, and what unpacks to more than it says is refused.
class Shop::Archive::Contents
  MOST_ENTRIES = 50_000
  # Of one table and of one photo, of all together, and of one row, as they are unpacked.
  MOST_TABLE, MOST_PHOTO, MOST_ALL, MOST_ROW = 1.gigabyte, 64.megabytes, 8.gigabytes, 4.megabytes
  # A file that unpacks to more than this of its size is a trap.
  MOST_RATIO = 200
  SMALL = 10.megabytes
  PIECE = 64.kilobytes

  # @param file [Pathname]
  # @yieldparam contents [Contents]
  # @raise [Rhexon::InvalidInput]
  def self.open(file)
    Zip::File.open(file.to_s) { |archive| yield new(archive).tap(&:check!) }
  rescue Zip::Error, Zlib::Error, SystemCallError => error
    Shop::Archive.refuse("The archive cannot be read: #{error.message.lines.first.to_s.strip}",
                         "a file that Rhexon has written")
  end

  def initialize(archive)
    @archive = archive
    @entries = archive.entries
  end

  # @raise [Rhexon::InvalidInput]
  def check!
    refuse("There is too much in it", "up to #{MOST_ENTRIES} entries") if @entries.size > MOST_ENTRIES
    check_names
    @entries.each { |entry| check_size(entry) }
    refuse("The archive unpacks to more than it can hold") if @entries.sum(&:size) > MOST_ALL
  end

  # @return [Hash] archive.json
  def about
    entry = @archive.find_entry(Shop::Archive::ABOUT) || refuse("The archive does not say what it is")
    refuse("The archive does not say what it is") if entry.size > 1.megabyte
    JSON.parse(pieces(entry).to_a.join)
  rescue JSON::ParserError
    refuse("The archive does not say what it is")
  end

  # @param table [String]
  # @yieldparam line [String] in UTF-8
  # @return [Boolean] whether the table is there
  def each_line(table)
    entry = @archive.find_entry("tables/#{table}.jsonl") or return false
    rest = +""
    pieces(entry) do |piece|
      *lines, rest = (rest << piece).split("\n", -1)
      lines.each { |line| yield line.force_encoding(Encoding::UTF_8) }
      refuse("A row of #{table} is too large", "up to #{MOST_ROW / 1.megabyte} MB") if rest.bytesize > MOST_ROW
    end
    yield rest.force_encoding(Encoding::UTF_8) unless rest.empty?
    true
  end

  # @return [Array<String>] keys of the photos
  def photos = @entries.filter_map { |entry| entry.name[Shop::Archive::PHOTO, 1] }

  # @param key [String]
  # @param into [Pathname]
  def photo!(key, into)
    into.open("wb") { |out| pieces(@archive.find_entry("photos/#{key}")) { |piece| out.write(piece) } }
  end

  private

  def refuse(...) = Shop::Archive.refuse(...)

  # Nothing is unpacked by the name that the archive gives it.
  def check_names
    odd = @entries.find do |entry|
      entry.symlink? || [ Shop::Archive::ABOUT, Shop::Archive::RECORD ].exclude?(entry.name) &&
        !entry.name.match?(Shop::Archive::TABLE) && !entry.name.match?(Shop::Archive::PHOTO)
    end
    refuse("The archive holds what does not belong in one: #{odd.name.truncate(60)}") if odd
    refuse("The archive holds one name twice") if @entries.uniq(&:name).size < @entries.size
  end

  def check_size(entry)
    photo = entry.name.match?(Shop::Archive::PHOTO)
    most = photo ? MOST_PHOTO : MOST_TABLE
    refuse("#{entry.name} is too large", "up to #{most / 1.megabyte} MB") if entry.size > most
    refuse("#{entry.name} is empty") if photo && entry.size.zero?
    trap = entry.size > SMALL && entry.size > entry.compressed_size * MOST_RATIO
    refuse("The archive unpacks to more than it can hold") if trap
  end

  # Whatever it claims, no more than it claims is unpacked.
  def pieces(entry)
    return enum_for(:pieces, entry) unless block_given?

    read = 0
    entry.get_input_stream do |input|
      while (piece = input.read(PIECE))
        read += piece.bytesize
        refuse("#{entry.name} is larger than it says") if read > entry.size
        yield piece
      end
    end
  end
end
