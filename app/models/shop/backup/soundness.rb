require "open3"

# What SQLite says of a database file, read only.
module Shop::Backup::Soundness
  READER = Rails.root.join("lib/soundness.rb").to_s
  LOADS = { "RUBYOPT" => nil, "RUBYLIB" => Gem.loaded_specs["sqlite3"].full_require_paths.join(":") }.freeze
  private_constant :READER, :LOADS

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

    said, ended = Open3.capture2e(LOADS, RbConfig.ruby, "-W0", READER, stdin_data: file.to_s)
    ended.success? ? said.lines(chomp: true).first(3).join("; ").presence : "it cannot be read (#{said.lines.first})"
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
