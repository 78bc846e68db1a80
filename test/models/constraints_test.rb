require "test_helper"

# The database itself refuses what must not be kept.
class ConstraintsTest < ActiveSupport::TestCase
  setup { set_up_shop }

  test "wal, foreign keys and a waiting writer are on" do
    connection = ActiveRecord::Base.connection
    assert_equal "wal", connection.select_value("PRAGMA journal_mode")
    assert_equal 1, connection.select_value("PRAGMA foreign_keys")
    assert_equal :immediate,
                 ActiveRecord::Base.connection_db_config.configuration_hash[:default_transaction_mode].to_sym
  end

  test "log, revisions and readings are append-only" do
    piece = make_piece(steps: [ coat("s1") ])
    log(piece, "s1/1/top", "started", Time.current)
    Batch.receive!(Product.first, grams: 500)
    [
      "UPDATE stock_moves SET grams = 1", "DELETE FROM stock_moves", "UPDATE entries SET kind = 'note'",
      "DELETE FROM entries", "UPDATE revisions SET reason = 'x'", "DELETE FROM revisions"
    ].each do |sql|
      assert_raises(ActiveRecord::StatementInvalid, sql) do
        ActiveRecord::Base.transaction(requires_new: true) { ActiveRecord::Base.connection.execute(sql) }
      end
    end
  end

  # What came twice for a lost answer, and what things are known by.
  ONCE = {
    "entries" => %w[client_id corrects_id], "readings" => %w[client_id], "pair_picks" => %w[client_id],
    "photos" => %w[client_id], "stock_moves" => %w[client_id], "schedules" => %w[piece_id], "batches" => %w[mix_id],
    "rooms" => %w[name], "people" => %w[name], "tools" => %w[name], "trials" => %w[name], "boards" => %w[name],
    "recipes" => %w[name], "timbers" => %w[name], "templates" => %w[name], "consumables" => %w[name],
    "products" => [ "code", %w[maker name] ], "instruments" => %w[name token_digest], "sessions" => %w[token_digest],
    "guest_links" => %w[token_digest], "pieces" => [ %w[job_id name] ], "faces" => [ %w[piece_id name] ],
    "cells" => [ %w[board_id label], %w[board_id position] ], "revisions" => [ %w[schedule_id number] ],
    "template_versions" => [ %w[template_id number] ], "climate_readings" => [ %w[room_id kind at] ],
    "air_readings" => [ %w[instrument_id at] ], "hand_readings" => [ %w[instrument_id at] ]
  }.freeze

  test "what is there once is there once in the database, too" do
    unique = ONCE.keys.index_with do |table|
      ActiveRecord::Base.connection.indexes(table).select(&:unique).map(&:columns)
    end
    ONCE.each { |table, all| all.each { |columns| assert_includes unique[table], Array(columns), table } }
  end

  test "checks hold without the models" do
    { "INSERT INTO faces (piece_id, name, area_m2, grain) VALUES (#{make_piece.id}, 'x', -1, 'open')" => "area",
      "INSERT INTO faces (piece_id, name, area_m2, grain) VALUES (99999, 'x', 1, 'open')" => "FOREIGN KEY",
      "INSERT INTO rooms (name, t_c, rh, air, created_at, updated_at) VALUES ('r', 20, 140, 'ordinary', 0, " \
      "0)" => "humidity",
      "INSERT INTO open_hours (weekday, opens, closes) VALUES (1, '17:00', '08:00')" => "opens_before_closes",
      "INSERT INTO batches (name, state, created_at, updated_at) VALUES ('x', 'sealed', 0, " \
      "0)" => "batch_is_of_something",
      "INSERT INTO jobs (client, created_at, updated_at) VALUES ('  ', 0, 0)" => "client_is_named" }.each do |sql, says|
      error = assert_raises(ActiveRecord::StatementInvalid) do
        ActiveRecord::Base.transaction(requires_new: true) { ActiveRecord::Base.connection.execute(sql) }
      end
      assert_match says, error.message
    end
  end

  test "a pass begins and ends once until that is taken back" do
    piece = make_piece(steps: [ coat("s1") ])
    first = log(piece, "s1/1/top", "started", 1.hour.ago)
    error = assert_raises(ActiveRecord::StatementInvalid) do
      Entry.transaction(requires_new: true) { log(piece, "s1/1/top", "started", 1.minute.ago) }
    end
    assert_match(/that pass is in the log already/, error.message)
    log(piece, "s1/1/top", "done", 30.minutes.ago)
    Entry.record!(client_id: "back", kind: "correction", happened_at: Time.current, piece: piece,
                  pass_key: first.pass_key, corrects: first)
    assert log(piece, "s1/1/top", "started", 20.minutes.ago)
  end

  test "texts have a length in the database too" do
    error = assert_raises(ActiveRecord::StatementInvalid) do
      Job.transaction(requires_new: true) { Job.new(client: "x" * 201).save!(validate: false) }
    end
    assert_match(/jobs.client is too long/, error.message)
    assert_equal [ "Client has at most 200 letters." ], Job.new(client: "x" * 201).tap(&:validate).errors.map(&:message)
  end
end
