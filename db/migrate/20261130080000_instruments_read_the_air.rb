# Thermo-hygrometers of rooms, each with a token of its own, and what they have read.
class InstrumentsReadTheAir < ActiveRecord::Migration[7.2]
  def up
    create_table :instruments do |t|
      t.string :name, null: false, index: { unique: true }
      t.references :room, null: false, foreign_key: true
      t.string :token_digest, null: false, index: { unique: true }
      t.string :stand_in
      t.timestamps
      t.check_constraint "length(name) <= 200", name: "instrument_name_length"
      t.check_constraint "stand_in IN ('none','disconnected','stale','noisy','out_of_range','jump')", name: "stand_in_fault"
    end
    create_table :air_readings do |t|
      t.references :instrument, null: false, foreign_key: true, index: false
      t.datetime :at, null: false
      t.float :t_c, null: false
      t.float :rh, null: false
      t.boolean :jump, null: false, default: false
      t.datetime :created_at, null: false
      t.index %i[instrument_id at], unique: true
      t.check_constraint "t_c BETWEEN -20 AND 60 AND rh BETWEEN 1 AND 100", name: "air_reading_range"
    end
  end

  def down
    drop_table :air_readings
    drop_table :instruments
  end
end
