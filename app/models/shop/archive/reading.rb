# Takes an archive into an empty shop: all of it in one transaction, or nothing. What is in the file is believed no
# further than its names, sizes and columns go; what the database or a form would refuse is refused, and so is a shop
# that cannot be planned.
class Shop::Archive::Reading
  # @param file [Pathname]
  def initialize(file)
    @file = Pathname(file)
    @written = []
  end

  # @return [Hash] archive.json
  # @raise [Rhexon::InvalidInput]
  def read!
    refuse("There is a shop here already", "an empty shop: start one with RHEXON_DATABASE=name") if Shop.exists?
    Shop::Archive::Contents.open(@file) do |contents|
      @contents = contents
      @about = known(contents.about)
      take
    end
    @about
  rescue StandardError
    @written.each { |path| FileUtils.rm_f(path) }
    raise
  ensure
    ShopFloor.forget
    Stamp.forget
  end

  private

  def refuse(...) = Shop::Archive.refuse(...)
  def connection = ApplicationRecord.connection

  def known(about)
    of_a_shop = about.is_a?(Hash) && about["format"].to_s.start_with?("rhexon-shop-archive/")
    refuse("That is no archive of a shop") unless of_a_shop
    known = ApplicationRecord.connection_pool.migration_context.migrations.map(&:version).max
    newer = about["format"] != Shop::Archive::FORMAT || !about["structure"].is_a?(Integer) || about["structure"] > known
    refuse("The archive was written by a newer Rhexon than this one", "a newer Rhexon") if newer
    refuse("The archive does not say what it is") unless about["tables"].is_a?(Hash)
    about
  end

  def take
    ApplicationRecord.transaction do
      connection.execute("PRAGMA defer_foreign_keys = ON")
      Shop::Archive.tables.each { |table| take_table(table) }
      check_links
      refuse("The archive holds no shop") unless Shop.one?
      check_rules
      take_photos
    end
  rescue ActiveRecord::StatementInvalid => error
    refuse("The archive holds what cannot be kept: #{error.cause&.message.to_s.lines.first.to_s.strip}")
  end

  def take_table(table)
    columns = connection.columns(table).map(&:name) - Shop::Archive::SECRETS.fetch(table, [])
    count = 0
    there = @contents.each_line(table) do |line|
      insert(connection, table, row(line, table, columns))
      count += 1
    end
    told = @about["tables"][table]
    refuse("The table #{table} is not whole: #{count} rows of #{told.inspect}") unless !there || count == told
  end

  def row(line, table, columns)
    row = JSON.parse(line)
    plain = row.is_a?(Hash) && row.any? && (row.keys - columns).empty? &&
      row.values.all? { |value| value.nil? || value.is_a?(String) || value.is_a?(Numeric) }
    plain ? row : refuse("The table #{table} holds what is no row of it: #{line.truncate(80)}")
  rescue JSON::ParserError, EncodingError
    refuse("The table #{table} holds what is no row of it: #{line.scrub.truncate(80)}")
  end

  def insert(connection, table, row)
    names = row.keys.map { |name| connection.quote_column_name(name) }.join(", ")
    connection.execute("INSERT INTO #{connection.quote_table_name(table)} (#{names}) VALUES " \
                       "(#{row.values.map { |value| connection.quote(value) }.join(", ")})")
  end

  def check_links
    broken = connection.select_rows("PRAGMA foreign_key_check").first or return
    refuse("A row of #{broken[0]} points at what is not in the archive")
  end

  # As if each had come by its form. A piece that cannot be computed is set aside, as always.
  def check_rules
    ApplicationRecord.descendants.reject(&:abstract_class?).sort_by(&:name).each do |model|
      model.find_each do |record|
        next if record.valid?

        refuse("#{model.model_name.human} #{record.id} of the archive cannot be kept: " \
               "#{record.errors.full_messages.first}")
      end
    end
    Current.forget_shelf
    ShopFloor.forget
    ShopFloor.new.plan
  rescue Rhexon::InvalidInput
    raise
  rescue StandardError => error
    refuse("The archive holds what cannot be read: #{error.message.lines.first.to_s.strip.truncate(120)}")
  end

  # Only those that the shop knows of.
  def take_photos
    known = ActiveStorage::Blob.pluck(:key).to_set
    strange = @contents.photos.find { |key| known.exclude?(key) }
    refuse("The archive holds a photo that belongs to nothing: #{strange}") if strange
    service = ActiveStorage::Blob.service
    @contents.photos.each do |key|
      path = Pathname(service.path_for(key))
      next if path.file?

      FileUtils.mkdir_p(path.dirname)
      @written << path
      @contents.photo!(key, path)
    end
  end
end
