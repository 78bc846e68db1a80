# What a database holds, table by table: how many rows, and a digest of all of them. Two files that hold the same tell
# the same, whatever their journals are.
module Shop::Backup::Content
  module_function

  # @param database [SQLite3::Database]
  # @return [Hash{String=>Array(Integer, String)}] rows and SHA-256 of each table, and of the structure itself
  def of(database)
    tables(database).to_h { |table| [ table, told(database, "SELECT * FROM \"#{table}\"") ] }
      .merge("sqlite_master" => told(database, "SELECT type, name, sql FROM sqlite_master ORDER BY type, name"))
  end

  # @return [Array<String>] names of tables that differ
  def differing(one, other) = (one.keys | other.keys).reject { |table| one[table] == other[table] }

  # Virtual tables are told by the tables that they keep their rows in.
  def tables(database)
    database.execute("SELECT name FROM sqlite_master WHERE type = 'table' AND sql NOT LIKE 'CREATE VIRTUAL%' " \
                     "ORDER BY name").flatten
  end
  private_class_method :tables

  def told(database, sql)
    digest = Digest::SHA256.new
    count = 0
    database.prepare(sql) do |rows|
      rows.each do |row|
        digest << Marshal.dump(row)
        count += 1
      end
    end
    [ count, digest.hexdigest ]
  end
  private_class_method :told
end
