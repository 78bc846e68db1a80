# Writes an archive: from a backup of this moment, so that it is one state of the shop however long it takes.
class Shop::Archive::Writing
  # @param file [Pathname]
  # @param now [Time]
  def initialize(file, now)
    @file = Pathname(file)
    @now = now
  end

  # @return [Hash] archive.json
  def write!
    Dir.mktmpdir("rhexon-archive") do |folder|
      backup = Shop::Backup::Making.new(Pathname(folder), "an archive", @now).make!
      Shop::Backup::Soundness.open(backup.database) { |database| zip(backup, database) }
    end
  end

  private

  def zip(backup, database)
    FileUtils.rm_f(@file)
    about = { "format" => Shop::Archive::FORMAT, "made_at" => backup.about["made_at"], "structure" => backup.structure,
              "tables" => {}, "photos" => 0 }
    Zip::File.open(@file.to_s, Zip::File::CREATE) do |archive|
      Shop::Archive.tables.each { |table| about["tables"][table] = write_table(archive, database, table) }
      about["photos"] = write_photos(archive, backup)
      archive.get_output_stream(Shop::Archive::RECORD) { |out| out.write(record) }
      archive.get_output_stream(Shop::Archive::ABOUT) { |out| out.write(JSON.pretty_generate(about)) }
    end
    File.chmod(0o600, @file)
    about
  end

  # @return [Integer] rows
  def write_table(archive, database, table)
    count = 0
    archive.get_output_stream("tables/#{table}.jsonl") do |out|
      database.query("SELECT * FROM #{table} ORDER BY rowid") do |rows|
        names = rows.columns
        secrets = Shop::Archive::SECRETS.fetch(table, [])
        rows.each do |row|
          out.write("#{JSON.generate(names.zip(row).to_h.except(*secrets))}\n")
          count += 1
        end
      end
    end
    count
  end

  # @return [Integer] photos
  def write_photos(archive, backup)
    photos = backup.photos.glob("*/*/*")
    photos.each { |path| archive.add("photos/#{path.basename}", path.to_s) }
    photos.size
  end

  # The whole record as people read it.
  def record
    Record::Export.new(Record::Line.of(Record::Query.new({}).entries.limit(Record::Query::MOST))).csv
  end
end
