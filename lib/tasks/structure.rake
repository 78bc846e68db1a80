# SQLite's own bookkeeping table is part of the dump but may not be created by loading it.
Rake::Task["db:schema:dump"].enhance do
  file = Rails.root.join("db/structure.sql")
  File.write(file, File.readlines(file).reject { |line|
    line.start_with?("CREATE TABLE sqlite_sequence")
  }.join) if file.exist?
end
