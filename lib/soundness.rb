# Reads the database file that is named on its input and prints what SQLite finds wrong with it, a line each; nothing
# where it is sound. Run by Shop::Backup::Soundness as a process of its own: SQLite lets no other thread go on while it
# reads, which takes a second in a large shop.
require "sqlite3"

begin
  database = SQLite3::Database.new($stdin.read, readonly: true)
  database.busy_handler_timeout = 10_000
  puts database.execute("PRAGMA integrity_check(3)").flatten - [ "ok" ]
  puts(database.execute("PRAGMA foreign_key_check").first(3).map { |row| "#{row[0]} points at what is not there" })
  puts "it is no shop" if database.execute("SELECT 1 FROM sqlite_master WHERE name = 'shops'").empty?
rescue SQLite3::Exception => error
  puts error.message
end
