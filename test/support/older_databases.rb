# Brings databases of earlier structures, with records in them, to today's, and writes every kind of record into each.
# Run by bin/rails runner with the folder of the databases to make, and the structures to begin from; prints one line of
# JSON for each structure.
require "json"
require_relative "shop_records"

extend ShopRecords

OLDER = ARGV.drop(1).freeze
STAMP = "'2026-11-20 08:00:00'".freeze
DOCUMENT = {
  format: "rhexon-schedule/1", room: "bench",
  steps: [ { id: "s1", kind: "coat", product: "w20", method: "spray", wet_um: 100, coats: 2, role: "top" } ]
}.to_json.freeze
# What a shop of the first structure had in it; later structures have these tables too.
RECORDS = <<~SQL.freeze
  INSERT INTO shops (id, name, zone, created_at, updated_at) VALUES (1, 'Test yard', 'Europe/Berlin', #{STAMP}, #{STAMP});
  INSERT INTO rooms (id, name, t_c, rh, created_at, updated_at) VALUES (1, 'bench', 20, 50, #{STAMP}, #{STAMP});
  INSERT INTO people (id, name, created_at, updated_at) VALUES (1, 'Imke', #{STAMP}, #{STAMP});
  INSERT INTO open_hours (weekday, opens, closes) VALUES (1, '07:30', '16:30'), (2, '07:30', '16:30');
  INSERT INTO products (id, code, name, maker, kind, role, created_at, updated_at) VALUES (1, 'w20', 'W20 clear satin', 'Skerrow', 'waterborne_two_part', 'top coat', #{STAMP}, #{STAMP});
  INSERT INTO jobs (id, client, created_at, updated_at) VALUES (1, 'Quay library', #{STAMP}, #{STAMP});
  INSERT INTO pieces (id, job_id, name, wood, created_at, updated_at) VALUES (1, 1, 'Desk top', 'elm', #{STAMP}, #{STAMP});
  INSERT INTO faces (piece_id, name, area_m2, grain) VALUES (1, 'top', 1.0, 'closed');
  INSERT INTO schedules (id, piece_id, created_at, updated_at) VALUES (1, 1, #{STAMP}, #{STAMP});
  INSERT INTO revisions (id, schedule_id, number, document, operation, reason, created_at) VALUES (1, 1, 1, '#{DOCUMENT}', '{"op":"begin"}', 'Began', #{STAMP});
  UPDATE schedules SET head_id = 1;
  INSERT INTO entries (client_id, kind, piece_id, revision_id, pass_key, happened_at, recorded_at) VALUES ('e1', 'done', 1, 1, 'p1/s1/1/top', #{STAMP}, #{STAMP});
  INSERT INTO boards (id, name, wood, grain, width_mm, height_mm, made_on, created_at, updated_at) VALUES (1, 'Board', 'elm', 'open', 400, 300, '2026-11-01', #{STAMP}, #{STAMP});
  INSERT INTO cells (id, board_id, label, position, created_at, updated_at) VALUES (1, 1, '1', 0, #{STAMP}, #{STAMP});
  INSERT INTO readings (cell_id, kind, value, taken_at, client_id, created_at) VALUES (1, 'gloss', '30', #{STAMP}, 'r1', #{STAMP});
SQL

def tables = ApplicationRecord.connection.tables.sort - %w[schema_migrations ar_internal_metadata]
def columns = tables.to_h { |table| [ table, ApplicationRecord.connection.columns(table).map(&:name).sort ] }

def connect(file)
  ActiveRecord::Base.establish_connection(
    ActiveRecord::Base.connection_db_config.configuration_hash.merge(database: file)
  )
end

def write_everything
  ApplicationRecord.descendants.each(&:reset_column_information)
  ShopFloor.forget
  stock_two_part
  piece = Piece.first
  piece.schedule.edit!({ "op" => "change_step", "id" => "s1", "set" => { "coats" => 3 } }, base: 1, reason: "test")
  Entry.record!(client_id: "e2", kind: "fault", happened_at: Time.current, piece: piece, pass_key: "p1/s1/1/top",
                body: { "fault" => "runs", "mending" => "leave" })
  cell = Cell.first
  Reading.record!(cell: cell, client_id: "r2", kind: "water", value: 5, taken_at: Time.current)
  Approval.record!(piece, { "client_id" => "a1", "name" => "The client" }, cell: cell)
  Board::Verdict.record!(cell.board, { "client_id" => "v1", "cell" => cell.id, "reason" => "It is even" },
                         now: Time.current)
  mix = Mix::Start.for_pass!("p1/s1/2/top")
  mix.update!(usable_g: 12.5)
  Trial.create!(name: "T", piece: piece, base: cell.layers,
                factors: [ { "name" => "coats", "step" => "s1", "field" => "coats", "levels" => [ 1, 2 ] } ])
  Room.first.update!(rack_places: 12, uses: %w[dry], daily: [ { "at" => "06:00", "t_c" => 20, "rh" => 50 } ])
  Person.first.update!(skills: %w[spray])
  Tool.create!(name: "gun", used_for: "spray").retire!
  Product.find_by!(code: "h12").retire!
  ShopFloor.new.keep!
  [ ShopFloor.new.aside.map(&:reason), Entry.count, Revision.count ]
end

folder = ARGV.fetch(0)
fresh = File.join(folder, "fresh.sqlite3")
system("sqlite3", fresh, ".read #{Rails.root.join("db/structure.sql")}", exception: true)
connect(fresh)
today = columns
OLDER.each do |structure|
  file = File.join(folder, "#{File.basename(structure, ".sql")}.sqlite3")
  system("sqlite3", file, ".read #{structure}", exception: true)
  IO.popen([ "sqlite3", file ], "w") { |shell| shell.write(RECORDS) }
  connect(file)
  ActiveRecord::Migration.suppress_messages { ActiveRecord::Base.connection_pool.migration_context.migrate }
  same = columns == today
  differs = columns.to_a - today.to_a
  puts({ structure: File.basename(structure), same: same, differs: differs, written: write_everything }.to_json)
rescue StandardError => error
  puts(
    {
      structure: File.basename(structure),
      error: "#{error.class}: #{error.message.lines.first} #{error.backtrace.grep(/app|test/).first}"
    }.to_json
  )
end
