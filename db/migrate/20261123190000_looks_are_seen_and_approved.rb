# Photos of cells, pieces and the log; the light a piece will be seen in; approvals and verdicts in the log.
class LooksAreSeenAndApproved < ActiveRecord::Migration[7.2]
  BEFORE = %w[started done dry_test note correction poured mixed discarded fault].freeze
  AFTER = (BEFORE + %w[approved verdict]).freeze

  def up
    files
    add_column :pieces, :light, :string, null: false, default: "D65"
    log(BEFORE, AFTER) { add_reference :entries, :cell, foreign_key: true }
    create_table :photos do |t|
      t.references :cell, foreign_key: true
      t.references :piece, foreign_key: true
      t.references :entry, foreign_key: true
      t.string :client_id, null: false, index: { unique: true }
      t.string :words
      t.string :light
      t.integer :width, null: false
      t.integer :height, null: false
      t.datetime :created_at, null: false
      t.check_constraint "(cell_id IS NOT NULL) + (piece_id IS NOT NULL) + (entry_id IS NOT NULL) <= 1", name: "a_photo_is_of_one_thing"
      t.check_constraint "width > 0 AND height > 0", name: "a_photo_has_a_size"
    end
  end

  def down
    drop_table :photos
    log(AFTER, BEFORE) { remove_reference :entries, :cell, foreign_key: true }
    remove_column :pieces, :light
    drop_table :active_storage_attachments
    drop_table :active_storage_blobs
  end

  private

  # As Active Storage wants them, less the variants it never makes here.
  def files
    create_table :active_storage_blobs do |t|
      t.string :key, null: false, index: { unique: true }
      t.string :filename, null: false
      t.string :content_type
      t.text :metadata
      t.string :service_name, null: false
      t.bigint :byte_size, null: false
      t.string :checksum
      t.datetime :created_at, null: false
    end
    create_table :active_storage_attachments do |t|
      t.string :name, null: false
      t.references :record, null: false, polymorphic: true, index: false
      t.references :blob, null: false, foreign_key: { to_table: :active_storage_blobs }
      t.datetime :created_at, null: false
      t.index %i[record_type record_id name blob_id], name: "index_active_storage_attachments_uniqueness", unique: true
    end
  end

  # SQLite rebuilds a table to change a constraint, and its triggers go with it.
  def log(before, after)
    %w[update delete].each { |verb| execute "DROP TRIGGER IF EXISTS entries_refuse_#{verb}" }
    yield
    remove_check_constraint :entries, list(before), name: "entry_kind"
    add_check_constraint :entries, list(after), name: "entry_kind"
    %w[UPDATE DELETE].each { |verb| execute "CREATE TRIGGER entries_refuse_#{verb.downcase} BEFORE #{verb} ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END" }
  end

  def list(kinds) = "kind IN (#{kinds.map { |kind| "'#{kind}'" }.join(",")})"
end
