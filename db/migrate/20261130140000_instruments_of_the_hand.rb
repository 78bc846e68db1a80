# Instruments that are held on the work, and the weather: of no room or of one, each with what it sent.
class InstrumentsOfTheHand < ActiveRecord::Migration[7.2]
  KINDS = %w[hygrometer weather moisture comb gauge gloss colour efflux].freeze

  def up
    add_column :instruments, :kind, :string, null: false, default: "hygrometer"
    add_check_constraint :instruments, "kind IN (#{KINDS.map { |kind| "'#{kind}'" }.join(",")})", name: "instrument_kind"
    change_column_null :instruments, :room_id, true
    add_check_constraint :instruments, "(room_id IS NOT NULL) = (kind IN ('hygrometer','weather'))",
                         name: "air_is_of_a_room"
    create_table :hand_readings do |t|
      t.references :instrument, null: false, foreign_key: true, index: false
      t.datetime :at, null: false
      t.json :value, null: false
      t.boolean :jump, null: false, default: false
      t.datetime :created_at, null: false
      t.index %i[instrument_id at], unique: true
      t.check_constraint "json_valid(value) AND length(value) <= 200", name: "value_is_short_json"
    end
  end

  def down
    drop_table :hand_readings
    execute "DELETE FROM instruments WHERE kind <> 'hygrometer'"
    remove_check_constraint :instruments, name: "air_is_of_a_room"
    change_column_null :instruments, :room_id, false
    remove_check_constraint :instruments, name: "instrument_kind"
    remove_column :instruments, :kind
  end
end
